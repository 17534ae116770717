import { createHash } from 'node:crypto';
import { READY_MADE } from '@mint-lamp/core/shelf/ready-made';
import type { DataSource } from 'typeorm';
import { withAdvisoryLock } from '../database/advisory-lock.ts';
import { shelfStore } from '../database/shelf-store.ts';

/** An id of its own for each set that ships, from its name, so that it is the same on every server. */
function idOf(name: string): string {
  const hex = createHash('sha256').update(`mint-lamp shelf ${name}`).digest('hex');
  return [
    hex.slice(0, 8),
    hex.slice(8, 12),
    `4${hex.slice(13, 16)}`,
    `8${hex.slice(17, 20)}`,
    hex.slice(20, 32),
  ].join('-');
}

/** Puts the sets that ship with Mint Lamp on the shelf. */
export const shipReadyMade = (database: DataSource): Promise<void> =>
  withAdvisoryLock(database, 'shelf', () =>
    shelfStore(database).ship(READY_MADE.map((set) => ({ ...set, id: idOf(set.name) }))),
  );
