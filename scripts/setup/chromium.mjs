import { existsSync } from 'node:fs';
import { installDebian } from './run.mjs';

const CHROMIUM = '/usr/bin/chromium-headless-shell';

/**
 * Chromium is for the tests and benchmarks only; the app itself does not need it. This is Debian's build of it without
 * a window, which draws pages as the other does and is a quarter faster.
 */
export function ensureChromium() {
  if (!existsSync(CHROMIUM)) installDebian(['chromium-headless-shell'], 'Chromium');
}
