import { spawnSync } from 'node:child_process';
import { ensureBuild } from './setup/build.mjs';
import { ensureChromium } from './setup/chromium.mjs';
import { ensureLibrary } from './setup/library.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { ensurePostgres } from './setup/postgres.mjs';
import { ensureProxy } from './setup/proxy.mjs';
import { ensureReaders } from './setup/readers.mjs';
import { main, ROOT } from './setup/run.mjs';

// npm test [-- --long]: sets up what is missing, then types, lint and layers, then budgets of first loads, then unit and API tests,
// benches once and small, then the interface. Very long sweeps take a drawn sample of their cases, and all of them with --long.
const isLong = process.argv.includes('--long');

const STEPS = [
  { name: 'types, lint and layers', command: ['npm', 'run', '--silent', 'check'] },
  { name: 'first loads within their budgets', command: ['node', 'scripts/check-budgets.mjs'] },
  {
    name: 'unit and API tests',
    command: ['npx', 'vitest', 'run'],
    counts: /Tests\s+(?:(\d+) failed \| )?(\d+) passed/,
  },
  {
    name: 'benches, once and small',
    command: ['node', 'scripts/bench.mjs', '--small'],
    counts: /Benches: (?:(\d+) failed \| )?(\d+) passed/,
  },
  {
    name: 'the interface in Chromium',
    command: ['npx', 'playwright', 'test', '--config', 'e2e/playwright.config.ts'],
    counts: /(?:^\s+(\d+) failed[\s\S]*)?^\s+(\d+) passed/m,
  },
];

// biome-ignore lint/suspicious/noControlCharactersInRegex: the colours of a terminal
const TERMINAL_COLORS = /\u001b\[[\d;]*m/g;

await main(async () => {
  ensurePackages();
  ensurePostgres();
  ensureChromium();
  ensureReaders(isLong);
  ensureProxy();
  ensureBuild();
  ensureLibrary();
  const total = { passed: 0, failed: 0 };
  for (const { name, command, counts } of STEPS) {
    console.log(`\n— ${name}`);
    const [program, ...args] = command;
    const result = spawnSync(program, args, {
      cwd: ROOT,
      encoding: 'utf8',
      maxBuffer: 256 * 1024 * 1024,
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0', ...(isLong ? { LONG_TESTS: '1' } : {}) },
    });
    process.stdout.write(result.stdout);
    const [, failed = '0', passed = '0'] = counts?.exec(result.stdout.replace(TERMINAL_COLORS, '')) ?? [];
    total.passed += Number(passed);
    total.failed += Number(failed);
    if (result.status !== 0) {
      // A step may fail without a test having failed: a broken type, a suite that did not load.
      if (Number(failed) === 0) total.failed += 1;
      break;
    }
  }
  console.log(`\n${total.passed} passed, ${total.failed} failed`);
  process.exit(total.failed ? 1 : 0);
});
