import { rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { ensureBuild } from './setup/build.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { clusterFolder, startCluster } from './setup/postgres.mjs';
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
            ? `Port ${port} is taken by another program, or Mint Lamp runs already. Choose another: PORT=${port + 10} npm run demo`
            : `Port ${port} cannot be used: ${error.message}.`,
        ),
      ),
    );
    probe.listen(port, '127.0.0.1', () => probe.close(resolve));
  });
}

async function waitUntilUp(address, server) {
  for (let i = 0; i < 300; i++) {
    if (server.exitCode !== null) throw new SetupError('The server stopped; its last words are above.');
    const up = await fetch(`${address}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new SetupError('The server did not answer within 30 seconds.');
}

await main(async () => {
  await checkPort(PORT);
  ensurePackages();
  ensureBuild();
  const folder = clusterFolder();
  if (process.argv.includes('--fresh')) {
    const old = await startCluster(folder);
    old.stop();
    rmSync(folder, { recursive: true, force: true });
  }
  const cluster = await startCluster(folder);
  const server = start('node', ['apps/server/dist/main.js'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: cluster.url,
      PORT: String(PORT),
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      DEMO_DATA: '1',
    },
  });
  let stopping = false;
  const stop = (code) => {
    if (stopping) return;
    stopping = true;
    const end = () => {
      cluster.stop();
      process.exit(code);
    };
    if (server.exitCode !== null) return end();
    server.once('exit', end);
    server.kill('SIGTERM');
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop(0));
  server.once('exit', (code) => stop(code ?? 1));
  const address = `http://127.0.0.1:${PORT}`;
  try {
    await waitUntilUp(address, server);
  } catch (error) {
    console.error(error.message);
    return stop(1);
  }
  console.log(
    `\nMint Lamp is lit: ${address}\nCtrl-C stops it. "npm run demo -- --fresh" starts over with the demo data.`,
  );
});
