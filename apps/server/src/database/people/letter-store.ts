import { randomUUID } from 'node:crypto';
import type { LetterSeen } from '@mint-lamp/core/wire/people';
import type { DataSource } from 'typeorm';
import { changedBy, rowsOf } from './queries.ts';

/** A letter as it is written. */
export interface Letter {
  readonly to: string;
  readonly subject: string;
  readonly text: string;
}

export interface LetterStore {
  write(letter: Letter): Promise<void>;
  /**
   * Takes the next letter that is to go out and hands it to `send`; it is gone when that was done, and tried again later
   * when it was not, by whichever process. False when none is to go out now.
   */
  sendNext(send: (letter: Letter & { readonly id: string }) => Promise<void>): Promise<boolean>;
  /** The newest first, at most so many; those that lie there longer go. */
  list(most: number): Promise<LetterSeen[]>;
  waiting(): Promise<number>;
  /** Lets go of letters of more than so many days. */
  forgetOld(days: number): Promise<void>;
}

interface LetterRow {
  id: string;
  to: string;
  subject: string;
  text: string;
  at: Date;
  tries: number;
}

const COLUMNS = 'id, recipient AS "to", subject, body AS text, at, tries';

/** After a failed try the next one waits twice as long, from one minute to six hours. */
const WAIT = `least(interval '6 hours', interval '1 minute' * power(2, least(tries, 12)))`;

/** Letters on their way, in PostgreSQL: what was written is sent, even if the process that wrote it is gone. */
export function letterStore(source: DataSource): LetterStore {
  return {
    async write({ to, subject, text }) {
      await source.query('INSERT INTO letter (id, recipient, subject, body) VALUES ($1, $2, $3, $4)', [
        randomUUID(),
        to,
        subject,
        text,
      ]);
    },

    async sendNext(send) {
      // It is put off before it is sent, so that no transaction stays open while a mail server thinks, and no other
      // process sends it too.
      const [[row]] = (await source.query(
        `UPDATE letter SET tries = tries + 1, next_at = now() + ${WAIT}
         WHERE id = (SELECT id FROM letter WHERE next_at <= now() ORDER BY next_at LIMIT 1 FOR UPDATE SKIP LOCKED)
         RETURNING ${COLUMNS}`,
      )) as [LetterRow[], number];
      if (!row) return false;
      const { id, to, subject, text } = row;
      await send({ id, to, subject, text });
      await changedBy(source, 'DELETE FROM letter WHERE id = $1', [id]);
      return true;
    },

    async list(most) {
      const rows = await rowsOf<LetterRow>(
        source,
        `SELECT ${COLUMNS} FROM letter ORDER BY at DESC, id LIMIT $1`,
        [most],
      );
      return rows.map(({ id, to, subject, text, at }) => ({ id, to, subject, text, at: at.toISOString() }));
    },

    async waiting() {
      const [row] = await rowsOf<{ count: number }>(source, 'SELECT count(*)::int AS count FROM letter');
      return row!.count;
    },

    async forgetOld(days) {
      await changedBy(source, 'DELETE FROM letter WHERE at < now() - make_interval(days => $1)', [days]);
    },
  };
}
