import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { type Cluster, freePort, startCluster, temporaryFolder } from '../../scripts/setup/postgres.mjs';

const SERVER = fileURLToPath(new URL('../../apps/server/dist/main.js', import.meta.url));

/** One process of a server that asks who one is. */
export interface TeamProcess {
  readonly address: string;
  /** What it has printed, its log and what it says beside it. */
  readonly said: () => string;
  start(): Promise<void>;
  end(signal: 'SIGKILL' | 'SIGTERM'): Promise<void>;
}

/** A server as a team runs it, with a database of its own. */
export interface TeamServer extends TeamProcess {
  readonly cluster: Cluster;
  /** The address by which the first person comes in, as the start prints it. */
  first(): string;
  /** Another process on the same database, reached at the same public address. */
  another(): Promise<TeamProcess>;
  close(): Promise<void>;
}

export const SECRET = 'a secret of the tests, of more than thirty-two letters';

const FIRST = /https?:\/\/\S+\/invitation#[\w-]+/;

async function until(what: () => Promise<boolean>, name: string): Promise<void> {
  for (let i = 0; i < 300; i++) {
    if (await what()) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${name} did not happen within 30 seconds.`);
}

/** `publicAddress`: where people reach it; its own address where that is left out. */
export async function teamProcess(
  databaseUrl: string,
  env: Readonly<Record<string, string>> = {},
): Promise<TeamProcess> {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  let server: ChildProcess | undefined;
  let said = '';
  return {
    address,
    said: () => said,
    async start() {
      server = spawn('node', [SERVER], {
        env: {
          PATH: process.env.PATH,
          NODE_ENV: 'production',
          DATABASE_URL: databaseUrl,
          PORT: String(port),
          PUBLIC_ADDRESS: address,
          SECRET,
          MAIL_URL: 'mailbox:',
          LOG_LEVEL: 'info',
          GRACE_SECONDS: '5',
          ...env,
        },
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      for (const stream of [server.stdout!, server.stderr!])
        stream.on('data', (text: Buffer) => {
          said += text.toString();
        });
      await until(
        () =>
          fetch(`${address}/api/ready`).then(
            (answer) => answer.ok,
            () => false,
          ),
        `The start of the server (it said: ${said})`,
      );
    },
    async end(signal) {
      if (!server || server.exitCode !== null || server.signalCode !== null) return;
      const gone = once(server, 'exit');
      server.kill(signal);
      await gone;
    },
  };
}

export async function startTeamServer(env: Readonly<Record<string, string>> = {}): Promise<TeamServer> {
  const cluster = await startCluster(temporaryFolder());
  const one = await teamProcess(cluster.url, env);
  const others: TeamProcess[] = [];
  await one.start();
  // It listens before it says how the first person comes in.
  await until(async () => FIRST.test(one.said()), 'The address of the first person');
  return {
    ...one,
    cluster,
    first: () => FIRST.exec(one.said())![0],
    async another() {
      // Beside the first, which has the port of what is counted.
      const other = await teamProcess(cluster.url, {
        PUBLIC_ADDRESS: one.address,
        ...env,
        METRICS_PORT: '',
      });
      others.push(other);
      await other.start();
      return other;
    },
    async close() {
      for (const each of [one, ...others]) await each.end('SIGKILL');
      cluster.stop();
      cluster.remove();
    },
  };
}
