import { mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { build } from 'vite';

const CORE = fileURLToPath(new URL('../../packages/core/src', import.meta.url));

function* modules(folder: string): Generator<string> {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) yield* modules(path);
    else if (/\.ts$/.test(name) && !/\.(test|fixture|d)\.ts$/.test(name)) yield path;
  }
}

test('the whole core loads and computes inside a worker, which has no page', async ({ page }) => {
  const files = [...modules(CORE)];
  expect(files.length).toBeGreaterThan(50);
  const code = `
    ${files.map((file, i) => `import * as m${i} from ${JSON.stringify(file)};`).join('\n')}
    export const modules = [${files.map((_, i) => `m${i}`).join(',')}];
    import { growShades, USUAL_GROWTH } from ${JSON.stringify(join(CORE, 'family/growth.ts'))};
    import { readColor } from ${JSON.stringify(join(CORE, 'color/parse.ts'))};
    postMessage(growShades(readColor('#0b5f6b'), USUAL_GROWTH).map((shade) => shade.hex));`;
  const entry = join(test.info().outputDir, 'all-of-core.ts');
  mkdirSync(test.info().outputDir, { recursive: true });
  writeFileSync(entry, code);
  const output = await build({
    configFile: false,
    logLevel: 'error',
    build: { write: false, minify: false, lib: { entry, formats: ['es'], fileName: 'core' } },
  });
  const chunks = (Array.isArray(output) ? output : [output]).flatMap((part) =>
    'output' in part ? part.output : [],
  );
  const main = chunks.find((chunk) => chunk.type === 'chunk' && chunk.isEntry);
  if (main?.type !== 'chunk') throw new Error('nothing was built');
  // Nothing but the code itself: no import is left that a worker would have to resolve.
  const built = new Map(
    chunks.flatMap((one) => (one.type === 'chunk' ? [[one.fileName, one] as const] : [])),
  );
  for (const { imports, dynamicImports } of built.values())
    for (const file of [...imports, ...dynamicImports]) expect(built.has(file), file).toBe(true);
  await page.route('http://core.test/**', (route) => {
    const code = built.get(new URL(route.request().url()).pathname.slice(1))?.code;
    return route.fulfill(
      code === undefined
        ? { contentType: 'text/html', body: '<title>worker</title>' }
        : { contentType: 'text/javascript', body: code },
    );
  });
  await page.goto('http://core.test/');
  const shades = await page.evaluate(
    (file) =>
      new Promise<string[]>((resolve, reject) => {
        const worker = new Worker(file, { type: 'module' });
        worker.onmessage = ({ data }) => resolve(data);
        worker.onerror = (event) => reject(new Error(event.message));
      }),
    `/${main.fileName}`,
  );
  expect(shades).toHaveLength(11);
  expect(shades).toContain('#0b5f6b');
  expect(readFileSync(join(CORE, 'family/growth.ts'), 'utf8')).not.toContain('document.');
  expect(files.map((file) => relative(CORE, file))).toContain('system/resolve.ts');
});
