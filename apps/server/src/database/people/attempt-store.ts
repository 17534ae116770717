import { createHash } from 'node:crypto';
import type { DataSource } from 'typeorm';
import { changedBy, rowsOf } from './queries.ts';

/** So many attempts are let through in so many seconds. */
export interface Allowance {
  readonly attempts: number;
  readonly seconds: number;
}

export interface AttemptStore {
  /**
   * Counts an attempt of something by somebody, before it is made; 0 when it may be made, else after how many seconds the
   * next one may.
   */
  count(what: string, allowance: Allowance): Promise<number>;
  /** Forgets the attempts of something, as after the right passphrase. */
  forget(what: string): Promise<void>;
  forgetOld(): Promise<void>;
}

/** What is counted is not to be read from the database. */
const keyOf = (what: string) => createHash('sha256').update(`mint-lamp attempt ${what}`).digest();

/** Attempts in PostgreSQL, so that every process counts on and no restart forgets them. */
export function attemptStore(source: DataSource): AttemptStore {
  return {
    async count(what, { attempts, seconds }) {
      const [row] = await rowsOf<{ count: number; wait: number }>(
        source,
        `INSERT INTO attempt AS a (key, count, ends_at) VALUES ($1, 1, now() + make_interval(secs => $2))
         ON CONFLICT (key) DO UPDATE SET
           count = CASE WHEN a.ends_at <= now() THEN 1 ELSE a.count + 1 END,
           ends_at = CASE WHEN a.ends_at <= now() THEN excluded.ends_at ELSE a.ends_at END
         RETURNING count, ceil(extract(epoch FROM ends_at - now()))::int AS wait`,
        [keyOf(what), seconds],
      );
      return row!.count > attempts ? Math.max(1, row!.wait) : 0;
    },

    async forget(what) {
      await changedBy(source, 'DELETE FROM attempt WHERE key = $1', [keyOf(what)]);
    },

    async forgetOld() {
      await changedBy(source, 'DELETE FROM attempt WHERE ends_at < now()');
    },
  };
}
