import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import WebSocket from 'ws';
import { type Engine, waitFor } from './engine.ts';

/** Colours as they are, and nothing asked for that the page does not ask for. */
const PREFERENCES = `
user_pref("gfx.color_management.mode", 0);
user_pref("browser.shell.checkDefaultBrowser", false);
user_pref("datareporting.policy.dataSubmissionEnabled", false);
user_pref("app.update.auto", false);
user_pref("network.captive-portal-service.enabled", false);
user_pref("network.connectivity-service.enabled", false);
user_pref("extensions.getAddons.cache.enabled", false);
user_pref("browser.safebrowsing.malware.enabled", false);
user_pref("browser.safebrowsing.phishing.enabled", false);
user_pref("services.settings.server", "data:,");
`;

/** The address of its WebDriver BiDi socket, which it says on its error stream. */
function addressOf(process: ChildProcess): Promise<string> {
  let said = '';
  return new Promise((resolve, reject) => {
    process.stderr!.on('data', (part: Buffer) => {
      said += part;
      const found = /WebDriver BiDi listening on (ws:\S+)/.exec(said);
      if (found) resolve(found[1]!);
    });
    process.on('exit', (code) => reject(new Error(`Firefox ended with ${code}: ${said.slice(-500)}`)));
  });
}

/** Commands and their answers over a WebDriver BiDi socket (W3C). */
async function session(address: string) {
  const socket = new WebSocket(`${address}/session`, { maxPayload: 1 << 28 });
  await new Promise((resolve, reject) => socket.once('open', resolve).once('error', reject));
  const waiting = new Map<number, (message: { result?: unknown; message?: string }) => void>();
  socket.on('message', (data) => {
    const message = JSON.parse(String(data));
    waiting.get(message.id)?.(message);
    waiting.delete(message.id);
  });
  let last = 0;
  const send = <T>(method: string, params: object) =>
    new Promise<T>((resolve, reject) => {
      last += 1;
      waiting.set(last, ({ result, message }) =>
        result === undefined ? reject(new Error(`${method}: ${message}`)) : resolve(result as T),
      );
      socket.send(JSON.stringify({ id: last, method, params }));
    });
  return { send, close: () => socket.close() };
}

/** Debian's Firefox without a window, driven by WebDriver BiDi. */
export async function openFirefox(width: number, height: number): Promise<Engine> {
  const profile = await mkdtemp(join(tmpdir(), 'mint-lamp-firefox-'));
  await writeFile(join(profile, 'user.js'), PREFERENCES);
  const args = [
    '--headless',
    '--no-remote',
    '--profile',
    profile,
    '--remote-debugging-port',
    '0',
    'about:blank',
  ];
  const process = spawn('firefox-esr', args, {
    stdio: ['ignore', 'ignore', 'pipe'],
    env: {
      ...globalThis.process.env,
      HOME: profile,
      MOZ_HEADLESS_WIDTH: String(width),
      MOZ_HEADLESS_HEIGHT: String(height + 200),
    },
  });
  const { send, close } = await session(await addressOf(process));
  await send('session.new', { capabilities: {} });
  const context = await waitFor('A window of Firefox', async () => {
    const { contexts } = await send<{ contexts: { context: string }[] }>('browsingContext.getTree', {});
    return contexts[0]?.context ?? null;
  });
  await send('browsingContext.setViewport', { context, viewport: { width, height }, devicePixelRatio: 1 });
  return {
    name: 'Firefox',
    goto: async (url) => void (await send('browsingContext.navigate', { context, url, wait: 'complete' })),
    evaluate: async (expression) => {
      const answer = await send<{ result?: { value: string }; exceptionDetails?: { text: string } }>(
        'script.evaluate',
        {
          expression: `Promise.resolve(${expression}).then(JSON.stringify)`,
          target: { context },
          awaitPromise: true,
        },
      );
      if (!answer.result) throw new Error(answer.exceptionDetails?.text);
      return JSON.parse(answer.result.value);
    },
    screenshot: async () =>
      Buffer.from(
        (await send<{ data: string }>('browsingContext.captureScreenshot', { context })).data,
        'base64',
      ),
    close: async () => {
      close();
      const ended = new Promise((resolve) => process.once('exit', resolve));
      process.kill('SIGTERM');
      await ended;
      await rm(profile, { recursive: true, force: true, maxRetries: 5 });
    },
  };
}
