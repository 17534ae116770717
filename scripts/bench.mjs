import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild } from './setup/build.mjs';
import { built } from './setup/built.mjs';
import { ensureChromium } from './setup/chromium.mjs';
import { ensureLibrary } from './setup/library.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { main, ROOT, run } from './setup/run.mjs';

// npm run bench [-- name]: every benchmark, or those whose file name contains the name. Each prints its figure
// as a ratio to a baseline measured in the same run. With --small each runs once and small, two at a time, to see that
// it runs: what `npm test` does with those that need no browser (--no-browser), and with all of them in its long form.
const isSmall = process.argv.includes('--small');
const isWithoutBrowser = process.argv.includes('--no-browser');
const NEEDS_BROWSER = /from '@playwright\/test'/;
const wanted = process.argv.slice(2).find((word) => !word.startsWith('--')) ?? '';
const FOLDERS = ['packages/core/bench', 'apps/server/bench', 'e2e/bench'];
const files = () =>
  FOLDERS.flatMap((folder) =>
    readdirSync(join(ROOT, folder))
      .sort()
      .filter((file) => file.endsWith('.bench.ts') && file.includes(wanted))
      .map((file) => join(folder, file))
      .filter((file) => !isWithoutBrowser || !NEEDS_BROWSER.test(readFileSync(join(ROOT, file), 'utf8'))),
  );

/** How a benchmark is run: those of the core as what ships is built, since the loader of TypeScript makes it slower. */
const toRun = async (file) =>
  file.startsWith('packages/core/') ? [await built(file)] : ['--import', 'tsx', file];

/** Runs a benchmark small; what it printed, and whether it ran. */
async function small(file) {
  const start = Date.now();
  const words = await toRun(file);
  return new Promise((resolve) => {
    const child = spawn(process.execPath, words, {
      cwd: ROOT,
      env: { ...process.env, BENCH_SMALL: '1' },
    });
    let text = '';
    const told = (chunk) => {
      text += chunk;
    };
    child.stdout.on('data', told);
    child.stderr.on('data', told);
    child.on('close', (code) => resolve({ file, text, ran: code === 0, ms: Date.now() - start }));
  });
}

async function allSmall() {
  const left = files();
  const failed = [];
  let ran = 0;
  const lane = async () => {
    for (let file = left.shift(); file; file = left.shift()) {
      const result = await small(file);
      console.log(`${result.ran ? 'ran' : 'FAILED'} in ${(result.ms / 1000).toFixed(1)} s: ${file}`);
      if (result.ran) ran += 1;
      else failed.push(result);
    }
  };
  await Promise.all([lane(), lane()]);
  for (const { file, text } of failed) console.log(`\n${file}:\n${text}`);
  console.log(`Benches: ${failed.length ? `${failed.length} failed | ` : ''}${ran} passed`);
  process.exitCode = failed.length ? 1 : 0;
}

await main(async () => {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  ensureLibrary();
  if (isSmall) return allSmall();
  for (const file of files())
    run(process.execPath, await toRun(file), { show: true, sentence: `The benchmark ${file} failed.` });
});
