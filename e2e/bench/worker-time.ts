import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { build } from 'vite';

/** What a script posts when it runs in a worker of the browser. `code` is TypeScript that posts one message. */
export async function inWorker<T>(page: Page, code: string): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-worker-'));
  const entry = join(folder, 'worker.ts');
  writeFileSync(entry, code);
  const output = await build({
    configFile: false,
    logLevel: 'error',
    build: { write: false, minify: false, lib: { entry, formats: ['es'], fileName: 'worker' } },
  });
  rmSync(folder, { recursive: true });
  const chunks = (Array.isArray(output) ? output : [output]).flatMap((part) =>
    'output' in part ? part.output : [],
  );
  const main = chunks.find((chunk) => chunk.type === 'chunk' && chunk.isEntry);
  if (main?.type !== 'chunk') throw new Error('nothing was built');
  await page.route('http://worker.test/**', (route) =>
    route.fulfill(
      route.request().url().endsWith('.js')
        ? { contentType: 'text/javascript', body: main.code }
        : { contentType: 'text/html', body: '<title>worker</title>' },
    ),
  );
  await page.goto('http://worker.test/');
  return page.evaluate(
    () =>
      new Promise<T>((resolve, reject) => {
        const worker = new Worker('/worker.js', { type: 'module' });
        worker.onmessage = ({ data }) => resolve(data);
        worker.onerror = (event) => reject(new Error(event.message));
      }),
  );
}
