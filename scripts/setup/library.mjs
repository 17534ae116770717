import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from './run.mjs';

/** Where the drawn pictures lie that stand for the outside world. */
export const LIBRARY_ROOT = join(ROOT, 'apps/server/library');

const SOURCES = join(ROOT, 'packages/core/src/demo/pictures');
const SCRIPT = join(ROOT, 'scripts/draw-library.ts');
const STAMP = join(LIBRARY_ROOT, '.drawn-by');

/** Draws the picture library, unless it was drawn by these very sources. */
export function ensureLibrary() {
  const hash = createHash('sha256').update(readFileSync(SCRIPT));
  for (const name of readdirSync(SOURCES).sort()) hash.update(readFileSync(join(SOURCES, name)));
  const wanted = hash.digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  console.log('Drawing the picture library …');
  run('npx', ['tsx', SCRIPT, LIBRARY_ROOT], { sentence: 'The picture library could not be drawn.' });
  writeFileSync(STAMP, wanted);
}
