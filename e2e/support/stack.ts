import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { type Cluster, freePort, startCluster, temporaryFolder } from '../../scripts/setup/postgres.mjs';

const SERVER = fileURLToPath(new URL('../../apps/server/dist/main.js', import.meta.url));

/** A server process with a database cluster of its own, both of which can be killed and started again. */
export interface Stack {
  readonly address: string;
  readonly cluster: Cluster;
  startServer(): Promise<void>;
  /** SIGKILL: no time to finish anything. */
  killServer(): Promise<void>;
  killDatabase(): Promise<void>;
  close(): Promise<void>;
}

async function until(what: () => Promise<boolean>, name: string): Promise<void> {
  for (let i = 0; i < 300; i++) {
    if (await what()) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${name} did not happen within 30 seconds.`);
}

export async function startStack(): Promise<Stack> {
  const cluster = await startCluster(temporaryFolder());
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  let server: ChildProcess | undefined;

  const startServer = async () => {
    server = spawn('node', [SERVER], {
      env: {
        ...process.env,
        DATABASE_URL: cluster.url,
        PORT: String(port),
        LOG_LEVEL: 'error',
        DEMO_DATA: '1',
      },
      stdio: ['ignore', 'inherit', 'inherit'],
    });
    await until(
      () =>
        fetch(`${address}/api/health`).then(
          (r) => r.ok,
          () => false,
        ),
      'The start of the server',
    );
  };
  const killServer = async () => {
    if (!server || server.exitCode !== null || server.signalCode !== null) return;
    const gone = once(server, 'exit');
    server.kill('SIGKILL');
    await gone;
  };
  await startServer();
  return {
    address,
    cluster,
    startServer,
    killServer,
    async killDatabase() {
      const pid = cluster.pid();
      process.kill(pid, 'SIGKILL');
      // The postmaster's children notice and leave; only then can it be started again.
      await until(
        async () =>
          (await fetch(`${address}/api/health`).then(
            (r) => r.status,
            () => 0,
          )) !== 200,
        'The end of the database',
      );
    },
    async close() {
      await killServer();
      cluster.stop();
      cluster.remove();
    },
  };
}
