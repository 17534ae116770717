import type pg from 'pg';
import type { DataSource } from 'typeorm';

/** How many connections a database's pool has, how many of them do nothing, and how many wait for one. */
export function connectionsOf(source: DataSource): Readonly<Record<'all' | 'idle' | 'waiting', number>> {
  const { totalCount, idleCount, waitingCount } = (source.driver as unknown as { master: pg.Pool }).master;
  return { all: totalCount, idle: idleCount, waiting: waitingCount };
}
