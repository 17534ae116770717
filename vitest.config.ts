import { defineConfig } from 'vitest/config';

// Long runs search elsewhere each time. The seed is told, and `SEED=…` takes it again.
if (process.env.LONG_TESTS && !process.env.SEED) {
  process.env.SEED = String(Date.now() % 2 ** 31);
  console.log(`Seed of the generated tests: ${process.env.SEED}`);
}

export default defineConfig({
  test: {
    // As many as the machines that run these have cores.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          root: 'packages/core',
          include: ['src/**/*.test.ts', 'bench/**/*.test.ts'],
          setupFiles: ['test/seed.ts'],
          testTimeout: 240_000,
          // Functions of their input, so that files can share what was loaded.
          isolate: false,
        },
      },
      {
        test: {
          name: 'scripts',
          root: 'scripts',
          include: ['test/**/*.test.ts'],
          testTimeout: 120_000,
        },
      },
      { test: { name: 'web', root: 'apps/web', include: ['src/**/*.test.ts'] } },
      { test: { name: 'cli', root: 'apps/cli', include: ['test/**/*.test.ts'], testTimeout: 60_000 } },
      {
        test: {
          name: 'server',
          root: 'apps/server',
          include: ['test/**/*.test.ts'],
          globalSetup: 'test/database.ts',
          setupFiles: ['../../packages/core/test/seed.ts'],
          testTimeout: 60_000,
          isolate: false,
        },
      },
    ],
  },
});
