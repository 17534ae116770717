import { existsSync } from 'node:fs';
import { installDebian } from './run.mjs';

/** Programs that our files and examples are tried with in tests, by the package that each comes in. */
const READERS = [
  { program: '/usr/bin/pdftotext', name: 'poppler-utils' },
  { program: '/usr/bin/unzip', name: 'unzip' },
  { program: '/usr/bin/openssl', name: 'openssl' },
  { program: '/usr/bin/systemd-analyze', name: 'systemd' },
];

/** Other browsers that our style sheets are tried with in the long tests; WebKit draws on a screen, which Xvfb stands for. */
const BROWSERS = [
  { program: '/usr/bin/firefox-esr', name: 'firefox-esr' },
  { program: '/usr/bin/WebKitWebDriver', name: 'webkit2gtk-driver' },
  { program: '/usr/bin/Xvfb', name: 'xvfb' },
];

/** Installs what is missing of the programs that read our files; those of the long tests too where they are asked for. */
export function ensureReaders(isLong) {
  const missing = [...READERS, ...(isLong ? BROWSERS : [])].filter(({ program }) => !existsSync(program));
  if (missing.length)
    installDebian(
      missing.map(({ name }) => name),
      'what reads our files',
    );
}
