import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests',
  outputDir: '../test-results',
  // Generous: what is tested is that a thing happens, and the machine may be busy with other work.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  workers: 2,
  // A test never needs another one of its file, and the long files would keep one worker waiting for the other.
  fullyParallel: true,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // Requests that a test holds or breaks off go past it; what it keeps has a test of its own.
    serviceWorkers: 'block',
    // What fades would be found half faded.
    contextOptions: { reducedMotion: 'reduce' },
    // A record of every step, to be looked at when a test fails: TRACE=1. It slows all of them down.
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
