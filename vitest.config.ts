import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // As many as the machines that run these have cores.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          root: 'packages/core',
          include: ['src/**/*.test.ts'],
          setupFiles: ['test/seed.ts'],
          testTimeout: 240_000,
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
      {
        test: {
          name: 'server',
          root: 'apps/server',
          include: ['test/**/*.test.ts'],
          globalSetup: 'test/database.ts',
          testTimeout: 30_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
