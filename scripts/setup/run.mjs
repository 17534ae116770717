import { spawn, spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = resolve(fileURLToPath(import.meta.url), '../../..');

/** An error whose message is the one sentence that the person at the terminal needs. */
export class SetupError extends Error {
  name = 'SetupError';
}

export const isRoot = process.getuid?.() === 0;

const TIMEOUT_MS = 15 * 60_000;

/** Runs a command to its end and returns what it printed; throws SetupError with `sentence` if it fails. */
export function run(command, args, { sentence, cwd = ROOT, env = process.env, show = false } = {}) {
  const result = spawnSync(command, args, {
    cwd,
    env,
    encoding: 'utf8',
    timeout: TIMEOUT_MS,
    stdio: show ? 'inherit' : ['ignore', 'pipe', 'pipe'],
    maxBuffer: 64 * 1024 * 1024,
  });
  if (result.error || result.status !== 0) {
    const said = `${result.stderr ?? ''}\n${result.stdout ?? ''}`.trim();
    if (/No space left on device/i.test(said))
      throw new SetupError('The disk is full: free some space and run it again.');
    const detail = said.split('\n').filter(Boolean).slice(-6).join('\n');
    throw new SetupError(
      `${sentence ?? `${command} ${args.join(' ')} failed.`}${detail ? `\n${detail}` : ''}`,
    );
  }
  return result.stdout ?? '';
}

/** Why packages cannot be installed through sudo, by the result of `sudo -n true`; null when they can. */
export function whyNoSudo({ error, status }, packages, why) {
  const all = packages.join(' ');
  if (error?.code === 'ENOENT')
    return `${why} is missing, and so is sudo to install it with: run "apt-get install ${all}" once as root, then this again.`;
  if (status !== 0)
    return `${why} is missing and sudo needs a password: run "sudo apt-get install ${all}" once, then this again.`;
  return null;
}

/** Installs Debian packages, as root or through sudo. */
export function installDebian(packages, why) {
  const problem = isRoot ? null : whyNoSudo(spawnSync('sudo', ['-n', 'true']), packages, why);
  if (problem) throw new SetupError(problem);
  console.log(`Installing ${packages.join(', ')} …`);
  const as = isRoot ? [] : ['sudo', '-n'];
  const apt = (...args) => {
    const [command, ...rest] = [...as, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-qq', ...args];
    run(command, rest, { sentence: `${packages.join(', ')} could not be installed with apt-get.` });
  };
  apt('update');
  apt('install', '-y', '--no-install-recommends', ...packages);
}

/** Starts a long-running child; it is ended with this process. */
export function start(command, args, options = {}) {
  return spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
}

/** Runs a main function; a SetupError ends the process with its sentence and no stack. */
export async function main(body) {
  try {
    await body();
  } catch (error) {
    if (!(error instanceof SetupError)) throw error;
    console.error(`\n${error.message}`);
    process.exit(1);
  }
}
