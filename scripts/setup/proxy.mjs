import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { isRoot, ROOT, run } from './run.mjs';

const INSTALLED = '/usr/sbin/nginx';
const FOLDER = join(ROOT, 'node_modules/.proxy');

/**
 * The reverse proxy that docs/operating.md has an example for; its program. It is unpacked from Debian's package and not
 * installed, since that would start one for all of the machine.
 */
export function ensureProxy() {
  if (existsSync(INSTALLED)) return INSTALLED;
  const program = join(FOLDER, 'usr/sbin/nginx');
  if (existsSync(program)) return program;
  console.log('Fetching a reverse proxy …');
  const half = `${FOLDER}.part`;
  rmSync(half, { recursive: true, force: true });
  mkdirSync(half, { recursive: true });
  const fetch = () => run('apt-get', ['-qq', 'download', 'nginx'], { cwd: half });
  try {
    fetch();
  } catch {
    // Without a list of packages, or with one that is too old.
    const as = isRoot ? [] : ['sudo', '-n'];
    const [command, ...args] = [...as, 'apt-get', '-qq', 'update'];
    run(command, args, { sentence: 'The list of packages could not be fetched.' });
    fetch();
  }
  const [file] = readdirSync(half).filter((name) => name.endsWith('.deb'));
  run('dpkg', ['-x', join(half, file), half], { sentence: 'The reverse proxy could not be unpacked.' });
  rmSync(FOLDER, { recursive: true, force: true });
  renameSync(half, FOLDER);
  return program;
}
