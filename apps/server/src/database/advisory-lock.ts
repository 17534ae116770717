import { setTimeout as sleep } from 'node:timers/promises';
import type { DataSource, EntityManager, QueryRunner } from 'typeorm';

/** How often a lock that somebody else has is asked for, ms. */
const ASK_AGAIN_MS = 100;

/** Locks of the database's own, by name: they go with the connection or the transaction that holds them. */
const keyOf = (name: string) => `mint-lamp ${name}`;

async function tryToLock(runner: QueryRunner, name: string): Promise<boolean> {
  const [row] = await runner.query('SELECT pg_try_advisory_lock(hashtextextended($1, 0)) AS mine', [
    keyOf(name),
  ]);
  return row.mine;
}

const unlock = (runner: QueryRunner, name: string): Promise<void> =>
  runner.query('SELECT pg_advisory_unlock(hashtextextended($1, 0))', [keyOf(name)]);

/** Does something that only one server process on a database may do at a time; the others wait for it. */
export async function withAdvisoryLock<T>(
  source: DataSource,
  name: string,
  body: () => Promise<T>,
): Promise<T> {
  const runner = source.createQueryRunner();
  // Asked for again and again, so that no query waits for as long as somebody else works.
  while (!(await tryToLock(runner, name))) await sleep(ASK_AGAIN_MS);
  try {
    return await body();
  } finally {
    await unlock(runner, name).catch(() => {});
    await runner.release();
  }
}

/** Locks something until the transaction ends: side by side with others who share it, or alone. */
export const lockInTransaction = (
  manager: EntityManager,
  name: string,
  how: 'shared' | 'alone',
): Promise<void> =>
  manager.query(
    how === 'shared'
      ? 'SELECT pg_advisory_xact_lock_shared(hashtextextended($1, 0))'
      : 'SELECT pg_advisory_xact_lock(hashtextextended($1, 0))',
    [keyOf(name)],
  );

/** Locks something alone until the transaction ends, unless somebody else has it; whether that was so. */
export async function tryLockInTransaction(manager: EntityManager, name: string): Promise<boolean> {
  const [row] = await manager.query('SELECT pg_try_advisory_xact_lock(hashtextextended($1, 0)) AS mine', [
    keyOf(name),
  ]);
  return row.mine;
}
