import { ensureLibrary, LIBRARY_ROOT } from './setup/library.mjs';
import { holdFolder } from './setup/lock.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { clusterFolder, startCluster } from './setup/postgres.mjs';
import { main, start } from './setup/run.mjs';

// npm run dev: the server restarts and the page reloads as the sources change.
await main(async () => {
  ensurePackages();
  ensureLibrary();
  await holdFolder(clusterFolder());
  const cluster = await startCluster(clusterFolder());
  const server = start('npx', ['tsx', 'watch', 'apps/server/src/demo/main.ts'], {
    env: { ...process.env, DATABASE_URL: cluster.url, PORT: '5170', LIBRARY_ROOT },
  });
  const web = start('npx', ['vite', 'apps/web', '--host', '127.0.0.1', '--port', '5171', '--strictPort']);
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.once(signal, () => {
      server.kill();
      web.kill();
      cluster.stop();
      process.exit(0);
    });
});
