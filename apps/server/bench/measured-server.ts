import { readFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { startCluster, temporaryFolder } from '../../../scripts/setup/postgres.mjs';
import { ensureLocalPerson } from '../src/access/local-person.ts';
import { buildApp } from '../src/app.ts';
import { openDatabase } from '../src/database/data-source.ts';

type Limits = NonNullable<Parameters<typeof buildApp>[0]['jobLimits']>;

/** Bytes that a process holds; 0 for one that is no Node.js, or has gone. */
function bytesOf(pid: string | number): number {
  try {
    const status = readFileSync(`/proc/${pid}/status`, 'latin1');
    return status.includes('Name:\tnode') ? Number(/^VmRSS:\s+(\d+)/m.exec(status)?.[1] ?? 0) * 1024 : 0;
  } catch {
    return 0;
  }
}

const children = (): string[] =>
  readFileSync(`/proc/${process.pid}/task/${process.pid}/children`, 'latin1').split(' ').filter(Boolean);

/** A server in this process, with a database of its own, that is watched for what holds it and how much memory it takes. */
export async function measuredServer(jobLimits: Limits = {}) {
  const cluster = await startCluster(temporaryFolder());
  const database = await openDatabase(cluster.url);
  await ensureLocalPerson(database);
  const logged: string[] = [];
  const app = await buildApp({
    database,
    logger: { level: 'error', stream: { write: (line) => void logged.push(line) } },
    jobLimits,
  });
  const address = await app.listen({ host: '127.0.0.1', port: 0 });
  const delay = monitorEventLoopDelay({ resolution: 1 });
  delay.enable();
  const memory = { child: 0, own: 0, all: 0 };
  const looking = setInterval(() => {
    const each = children().map(bytesOf);
    memory.child = Math.max(memory.child, ...each);
    memory.own = Math.max(memory.own, bytesOf(process.pid));
    memory.all = Math.max(memory.all, bytesOf(process.pid) + each.reduce((sum, bytes) => sum + bytes, 0));
  }, 50);
  return {
    app,
    address,
    logged,
    /** Bytes at most since the start: of one process that works for the server, of this one, and of all together. */
    memory,
    forgetMemory() {
      Object.assign(memory, { child: 0, own: 0, all: 0 });
    },
    async newProject(): Promise<string> {
      const made = await app.inject({ method: 'POST', url: '/api/projects', payload: { name: 'Bench' } });
      return (made.json() as { id: string }).id;
    },
    /** What something comes to, with how long it took and the longest that it held this process, ms. */
    async watched<T>(what: () => Promise<T>): Promise<{ result: T; took: number; held: number }> {
      delay.reset();
      const start = performance.now();
      const result = await what();
      return { result, took: performance.now() - start, held: delay.max / 1e6 };
    },
    async close(): Promise<void> {
      clearInterval(looking);
      await app.close();
      await database.destroy();
      cluster.stop();
      cluster.remove();
    },
  };
}

/** A line of a list: how long something held the server, and what became of it. */
export const heldLine = (held: number, took: number, what: string): string =>
  `  ${held.toFixed(0).padStart(5)} ms held of ${took.toFixed(0).padStart(6)} ms, ${what}`;
