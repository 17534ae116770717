import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { main, ROOT, SetupError } from './setup/run.mjs';

// npm start [-- --check]: the built server, as a team runs it, configured by the environment; see docs/operating.md. With
// --check it tries what it is told, and ends.
await main(async () => {
  const server = join(ROOT, 'apps/server/dist/main.js');
  if (!existsSync(server) || !existsSync(join(ROOT, 'apps/web/dist/index.html')))
    throw new SetupError('The server is not built: run "npm ci" and "npm run build" first.');
  process.env.NODE_ENV ??= 'production';
  await import(server);
});
