import { createServer } from 'node:net';
import { ensureBuild } from './setup/build.mjs';
import { ensureLibrary, LIBRARY_ROOT } from './setup/library.mjs';
import { holdFolder } from './setup/lock.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { clusterFolder, removeCluster, startCluster } from './setup/postgres.mjs';
import { main, SetupError, start } from './setup/run.mjs';

// npm run demo [-- --fresh]: everything from a bare machine to the address to open. PORT chooses the port.

const PORT = Number(process.env.PORT ?? 5170);

function checkPort(port) {
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new SetupError(`PORT must be a number from 1 to 65535; it is "${process.env.PORT}".`);
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', (error) =>
      reject(
        new SetupError(
          error.code === 'EADDRINUSE'
            ? `Port ${port} is taken by another program. Choose another: PORT=${port + 10} npm run demo`
            : `Port ${port} cannot be used: ${error.message}.`,
        ),
      ),
    );
    probe.listen(port, '127.0.0.1', () => probe.close(resolve));
  });
}

/** Resolves when this very server says that it listens; not when anything answers at its address. */
function untilListening(server) {
  return new Promise((resolve, reject) => {
    server.once('message', resolve);
    server.once('exit', () => reject(new SetupError('The server stopped; its last words are above.')));
    setTimeout(() => reject(new SetupError('The server did not listen within 30 seconds.')), 30_000).unref();
  });
}

await main(async () => {
  const folder = clusterFolder();
  const lock = await holdFolder(folder);
  await checkPort(PORT);
  ensurePackages();
  ensureBuild();
  ensureLibrary();
  if (process.argv.includes('--fresh')) removeCluster(folder);
  const cluster = await startCluster(folder);
  const server = start('node', ['apps/server/dist/demo.js'], {
    stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: cluster.url,
      PORT: String(PORT),
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      LIBRARY_ROOT,
    },
  });
  const isGone = () => server.exitCode !== null || server.signalCode !== null;
  let stopping = false;
  const stop = (code) => {
    if (stopping) return;
    stopping = true;
    const end = () => {
      cluster.stop();
      process.exit(code);
    };
    if (isGone()) return end();
    server.once('exit', end);
    server.kill('SIGTERM');
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0));
  server.once('exit', (code, signal) => {
    if (signal && !stopping)
      console.error(`\nThe server was ended by ${signal}; the database is stopped too.`);
    stop(code ?? 1);
  });
  const address = `http://127.0.0.1:${PORT}`;
  try {
    await untilListening(server);
  } catch (error) {
    console.error(error.message);
    return stop(1);
  }
  lock.say(`It is lit at ${address}.`);
  console.log(
    `\nMint Lamp is lit: ${address}\nCtrl-C stops it. "npm run demo -- --fresh" starts over with the demo data.`,
  );
});
