import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuild } from './setup/build.mjs';
import { ensureChromium } from './setup/chromium.mjs';
import { ensureLibrary } from './setup/library.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { main, ROOT, run } from './setup/run.mjs';

// npm run bench [-- name]: every benchmark, or those whose file name contains the name. Each prints its figure
// as a ratio to a baseline measured in the same run.
await main(async () => {
  ensurePackages();
  ensureChromium();
  ensureBuild();
  ensureLibrary();
  const wanted = process.argv[2] ?? '';
  for (const folder of ['packages/core/bench', 'apps/server/bench', 'e2e/bench'])
    for (const file of readdirSync(join(ROOT, folder)).sort())
      if (file.endsWith('.bench.ts') && file.includes(wanted))
        run('npx', ['tsx', join(folder, file)], { show: true, sentence: `The benchmark ${file} failed.` });
});
