import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';

const SOURCES = [
  'packages/core/src',
  'apps/server/src',
  'apps/cli/src',
  'apps/web',
  'package-lock.json',
  'apps/server/vite.config.ts',
];
const STAMP = join(ROOT, 'apps/server/dist/.built-from');

function* filesBelow(path) {
  if (statSync(path).isFile()) yield path;
  else
    for (const name of readdirSync(path).sort())
      if (name !== 'dist' && name !== 'node_modules') yield* filesBelow(join(path, name));
}

function fingerprint() {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of filesBelow(join(ROOT, source)))
      hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Builds server and interface, unless what is built came of these very sources. */
export function ensureBuild() {
  const wanted = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  console.log('Building …');
  run('npm', ['run', 'build'], { sentence: 'The build failed.' });
  writeFileSync(STAMP, wanted);
}
