import { basename, join } from 'node:path';
import { ROOT } from './run.mjs';

const FOLDER = join(ROOT, 'node_modules/.bench');

/** Builds a program of TypeScript as what ships is built, so that it is as fast; the file to run with Node. */
export async function built(entry) {
  // Only now: on a fresh machine it is not there before the packages are.
  const { build } = await import('vite');
  const name = basename(entry).replace(/\.ts$/, '');
  await build({
    root: ROOT,
    configFile: false,
    logLevel: 'error',
    ssr: { noExternal: [/^@mint-lamp/] },
    build: { ssr: join(ROOT, entry), outDir: join(FOLDER, name), emptyOutDir: true, target: 'node20' },
  });
  return join(FOLDER, name, `${name}.js`);
}
