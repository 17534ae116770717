import { existsSync } from 'node:fs';
import { installDebian } from './run.mjs';

export const CHROMIUM = '/usr/bin/chromium';

/** Chromium is for the tests and benchmarks only; the app itself does not need it. */
export function ensureChromium() {
  if (!existsSync(CHROMIUM)) installDebian(['chromium'], 'Chromium');
}
