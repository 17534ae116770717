import { type ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { type Engine, waitFor } from './engine.ts';

async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as { port: number };
  await new Promise((resolve) => server.close(resolve));
  return port;
}

/** A screen that nobody sees, since WebKitGTK draws into a window; its name. */
async function screen(): Promise<{ process: ChildProcess; name: string }> {
  const process = spawn('Xvfb', ['-displayfd', '3', '-screen', '0', '1600x1400x24', '-nolisten', 'tcp'], {
    stdio: ['ignore', 'ignore', 'ignore', 'pipe'],
  });
  const name = await new Promise<string>((resolve, reject) => {
    process.stdio[3]!.on('data', (part: Buffer) => resolve(`:${String(part).trim()}`));
    process.on('exit', (code) => reject(new Error(`Xvfb ended with ${code}.`)));
  });
  return { process, name };
}

/** Debian's WebKitGTK, driven by WebDriver (W3C). */
export async function openWebKit(width: number, height: number): Promise<Engine> {
  const shown = await screen();
  const port = await freePort();
  const process = spawn('WebKitWebDriver', [`--port=${port}`, '--host=127.0.0.1'], {
    stdio: 'ignore',
    env: {
      ...globalThis.process.env,
      DISPLAY: shown.name,
      WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
      LIBGL_ALWAYS_SOFTWARE: '1',
      GDK_BACKEND: 'x11',
    },
  });
  const ask = async <T>(method: string, path: string, body?: object): Promise<T> => {
    const response = await fetch(`http://127.0.0.1:${port}${path}`, {
      method,
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const { value } = (await response.json()) as { value: T & { error?: string; message?: string } };
    if (!response.ok) throw new Error(`${path}: ${value.error} ${value.message}`);
    return value;
  };
  await waitFor('WebKit’s driver', () => ask('GET', '/status').catch(() => null));
  const { sessionId } = await ask<{ sessionId: string }>('POST', '/session', {
    capabilities: {
      alwaysMatch: {
        'webkitgtk:browserOptions': {
          binary: '/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser',
          args: ['--automation'],
        },
      },
    },
  });
  const at = (path: string) => `/session/${sessionId}${path}`;
  await ask('POST', at('/window/rect'), { x: 0, y: 0, width, height: height + 120 });
  return {
    name: 'WebKit',
    goto: async (url) => void (await ask('POST', at('/url'), { url })),
    evaluate: async (expression) =>
      JSON.parse(
        await ask<string>('POST', at('/execute/async'), {
          script: `const done = arguments[arguments.length - 1]; Promise.resolve(${expression}).then((value) => done(JSON.stringify(value)))`,
          args: [],
        }),
      ),
    screenshot: async () => Buffer.from(await ask<string>('GET', at('/screenshot')), 'base64'),
    close: async () => {
      await ask('DELETE', at('')).catch(() => {});
      process.kill('SIGTERM');
      shown.process.kill('SIGTERM');
    },
  };
}
