import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild } from './setup/build.mjs';
import { built } from './setup/built.mjs';
import { ensureChromium } from './setup/chromium.mjs';
import { buildHouseOf, removeHouse } from './setup/house-before.mjs';
import { ensureLibrary } from './setup/library.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { main, ROOT } from './setup/run.mjs';

// npm run bench [-- name]: every benchmark, or those whose file name contains the name. Each prints its figure
// as a ratio to a baseline measured in the same run, and fails where a limit is missed. With --small each runs once and
// small, two at a time, to see that it runs: what `npm test` does. With --before=<commit> those in a browser run against
// that commit's code and today's in turns, and each figure is said as the share of what it was.
const isSmall = process.argv.includes('--small');
const before = process.argv.find((word) => word.startsWith('--before='))?.slice('--before='.length);
const IN_BROWSER = /from '\.\/in-browser\.ts'/;
const wanted = process.argv.slice(2).find((word) => !word.startsWith('--')) ?? '';
const FOLDERS = ['packages/core/bench', 'apps/server/bench', 'e2e/bench'];
const files = () =>
  FOLDERS.flatMap((folder) =>
    readdirSync(join(ROOT, folder))
      .sort()
      .filter((file) => file.endsWith('.bench.ts') && file.includes(wanted))
      .map((file) => join(folder, file)),
  );

/** How a benchmark is run: those of the core as what ships is built, since the loader of TypeScript makes it slower. */
const toRun = async (file) =>
  file.startsWith('packages/core/') ? [await built(file)] : ['--import', 'tsx', file];

/** Runs a program for benchmarks small; what it printed, and whether it ended well. */
const small = (words) =>
  new Promise((resolve) => {
    const start = Date.now();
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
    child.on('close', (code) => resolve({ text, ran: code === 0, ms: Date.now() - start }));
  });

async function smallAlone(file) {
  const { text, ran, ms } = await small(await toRun(file));
  const line = `${ran ? 'ran' : 'FAILED'} in ${(ms / 1000).toFixed(1)} s: ${file}`;
  return { lines: [line], text: ran ? '' : `${file}:\n${text}` };
}

/** Benches in a browser share one, and a server. */
async function smallTogether(files) {
  const paths = files.map((file) => join(ROOT, file));
  const { text, ran } = await small(['--import', 'tsx', 'e2e/bench/all-in-browser.ts', ...paths]);
  const lines = text.split('\n').filter((line) => /^(ran|FAILED) in /.test(line));
  // One that took the others along is a failure for each that said nothing.
  for (const path of paths) if (!lines.some((line) => line.endsWith(path))) lines.push(`FAILED: ${path}`);
  return { lines: lines.map((line) => line.replace(`${ROOT}/`, '')), text: ran ? '' : text };
}

async function allSmall() {
  const inBrowser = (file) => IN_BROWSER.test(readFileSync(join(ROOT, file), 'utf8'));
  const alone = files().filter((file) => !inBrowser(file));
  const together = files().filter(inBrowser);
  const left = [
    ...[0, 1]
      .map((lane) => together.filter((_, i) => i % 2 === lane))
      .filter((those) => those.length)
      .map((those) => () => smallTogether(those)),
    ...alone.map((file) => () => smallAlone(file)),
  ];
  const lines = [];
  const faults = [];
  const lane = async () => {
    for (let next = left.shift(); next; next = left.shift()) {
      const done = await next();
      for (const line of done.lines) console.log(line);
      lines.push(...done.lines);
      if (done.text) faults.push(done.text);
    }
  };
  await Promise.all([lane(), lane()]);
  for (const text of faults) console.log(`\n${text}`);
  const failed = lines.filter((line) => line.startsWith('FAILED')).length;
  console.log(`Benches: ${failed ? `${failed} failed | ` : ''}${lines.length - failed} passed`);
  process.exitCode = failed || faults.length ? 1 : 0;
}

/** Runs a program with what it prints shown; whether it ended well. */
const shown = (words) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, words, { cwd: ROOT, stdio: 'inherit' });
    child.on('close', (code) => resolve(code === 0));
  });

const FIGURE = /^(.*?): (-?[\d.]+) (ms|s|kB|MB)\b/;

/** Runs a benchmark against the code in a folder; its figures by their names. */
async function figuresOf(file, house) {
  const { text } = await new Promise((resolve) => {
    const child = spawn(process.execPath, ['--import', 'tsx', file], {
      cwd: ROOT,
      env: { ...process.env, MINT_HOUSE: house },
    });
    let text = '';
    child.stdout.on('data', (chunk) => {
      text += chunk;
    });
    child.stderr.pipe(process.stderr);
    child.on('close', () => resolve({ text }));
  });
  return new Map(
    text.split('\n').flatMap((line) => {
      const [, name, figure, unit] = FIGURE.exec(line) ?? [];
      return name ? [[name, { figure: Number(figure), unit }]] : [];
    }),
  );
}

/** How often each house is measured, in turns, since the hours of a machine differ; `MINT_TURNS` says another number. */
const TURNS = Number(process.env.MINT_TURNS ?? 3);
const medianOf = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];

async function against(commit) {
  const folder = join(tmpdir(), `mint-lamp-before-${process.pid}`);
  try {
    buildHouseOf(commit, folder);
    for (const file of files().filter((one) => IN_BROWSER.test(readFileSync(join(ROOT, one), 'utf8')))) {
      const turns = { before: [], now: [] };
      for (let i = 0; i < TURNS; i++) {
        turns.before.push(await figuresOf(file, folder));
        turns.now.push(await figuresOf(file, ROOT));
      }
      for (const [name, { unit }] of turns.now[0]) {
        const of = (which) =>
          medianOf(turns[which].flatMap((one) => (one.has(name) ? [one.get(name).figure] : [])));
        const [was, is] = [of('before'), of('now')];
        const told = was === undefined ? 'not there before' : `${was.toFixed(2)} ${unit} before`;
        const share = was ? `, ${(is / was).toFixed(2)} of it` : '';
        console.log(`${name}: ${is?.toFixed(2)} ${unit}, ${told}${share}`);
      }
    }
  } finally {
    removeHouse(folder);
  }
}

await main(async () => {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  ensureLibrary();
  if (isSmall) return allSmall();
  if (before) return against(before);
  const missed = [];
  for (const file of files()) if (!(await shown(await toRun(file)))) missed.push(file);
  if (missed.length) {
    console.log(`\nFailed, or over a limit: ${missed.join(', ')}`);
    process.exitCode = 1;
  }
});
