import { spawnSync } from 'node:child_process';
import { expect, test } from 'vitest';
import { whyNoSudo } from '../setup/run.mjs';

test('a missing sudo is told as that, and one that needs a password as that', () => {
  const nowhere = spawnSync('sudo', ['-n', 'true'], { env: { PATH: '/nonexistent' } });
  expect(whyNoSudo(nowhere, ['postgresql'], 'PostgreSQL')).toBe(
    'PostgreSQL is missing, and so is sudo to install it with: run "apt-get install postgresql" once as root, then this again.',
  );
  expect(whyNoSudo(spawnSync('false'), ['chromium'], 'Chromium')).toMatch(
    /^Chromium .* needs a password: .*sudo apt-get/,
  );
  expect(whyNoSudo(spawnSync('true'), ['chromium'], 'Chromium')).toBeNull();
});
