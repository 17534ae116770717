import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type Cluster, freePort, startCluster, temporaryFolder } from '../../scripts/setup/postgres.mjs';

const LIBRARY = fileURLToPath(new URL('../../apps/server/library', import.meta.url));
/** Whose server and page are started: those of another folder where a bench holds two against each other. */
const HOUSE = process.env.MINT_HOUSE ?? fileURLToPath(new URL('../..', import.meta.url));
const SERVER = join(HOUSE, 'apps/server/dist/demo.js');

/** A server process with a database cluster of its own, both of which can be killed and started again. */
export interface Stack {
  readonly address: string;
  readonly cluster: Cluster;
  startServer(): Promise<void>;
  /** SIGKILL: no time to finish anything. */
  killServer(): Promise<void>;
  killDatabase(): Promise<void>;
  /** A second process on the same database, at an address of its own. */
  anotherServer(): Promise<Server>;
  close(): Promise<void>;
}

async function until(what: () => Promise<boolean>, name: string): Promise<void> {
  for (let i = 0; i < 300; i++) {
    if (await what()) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${name} did not happen within 30 seconds.`);
}

/** One server process, which can be killed and started again at its address. */
interface Server {
  readonly address: string;
  start(): Promise<void>;
  /** SIGKILL: no time to finish anything. */
  kill(): Promise<void>;
}

async function serverOn(cluster: Cluster): Promise<Server> {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  let server: ChildProcess | undefined;
  return {
    address,
    async start() {
      server = spawn('node', [SERVER], {
        env: {
          ...process.env,
          DATABASE_URL: cluster.url,
          PORT: String(port),
          LOG_LEVEL: 'error',
          LIBRARY_ROOT: LIBRARY,
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
    },
    async kill() {
      if (!server || server.exitCode !== null || server.signalCode !== null) return;
      const gone = once(server, 'exit');
      server.kill('SIGKILL');
      await gone;
    },
  };
}

/** Runs SQL in the stack's database; returns what it prints, without heads. */
export function runSql(cluster: Cluster, sql: string): string {
  return execFileSync(join(cluster.bin, 'psql'), ['-qAt', '-v', 'ON_ERROR_STOP=1', cluster.url], {
    input: sql,
    encoding: 'utf8',
    maxBuffer: 256 * 1024 * 1024,
  });
}

/** `stored` is SQL that fills the database before the server first starts, as one of an earlier version. */
export async function startStack(stored?: string): Promise<Stack> {
  const cluster = await startCluster(temporaryFolder());
  if (stored) runSql(cluster, stored);
  const first = await serverOn(cluster);
  const others: Server[] = [];
  const { address } = first;
  await first.start();
  return {
    address,
    cluster,
    startServer: first.start,
    killServer: first.kill,
    async anotherServer() {
      const other = await serverOn(cluster);
      await other.start();
      others.push(other);
      return other;
    },
    async killDatabase() {
      process.kill(cluster.pid()!, 'SIGKILL');
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
      for (const server of [first, ...others]) await server.kill();
      cluster.stop();
      cluster.remove();
    },
  };
}
