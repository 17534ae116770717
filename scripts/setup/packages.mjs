import { createHash } from 'node:crypto';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run, SetupError } from './run.mjs';

const STAMP = join(ROOT, 'node_modules', '.mint-lamp-lock');

function checkMachine() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new SetupError(`Mint Lamp needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  const { bavail, bsize } = statfsSync(ROOT);
  if (bavail * bsize < 300 * 1024 * 1024)
    throw new SetupError('The disk is nearly full: Mint Lamp needs about 300 MB to install and run.');
}

/** Installs the npm packages of the lock file, unless the installed ones are of that very lock file. */
export function ensurePackages() {
  checkMachine();
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  console.log('Installing npm packages …');
  run('npm', ['ci', '--no-audit', '--no-fund'], { sentence: 'The npm packages could not be installed.' });
  writeFileSync(STAMP, lock);
}
