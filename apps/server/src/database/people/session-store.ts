import { randomUUID } from 'node:crypto';
import type { SessionSeen } from '@mint-lamp/core/wire/people';
import type { DataSource, EntityManager } from 'typeorm';
import { tellAccess } from './access-notices.ts';
import { changedBy, rowsOf } from './queries.ts';

/** What a browser calls itself is kept up to so many letters. */
const MOST_AGENT = 300;
/** Of one person at a time; of more, the longest unused end. */
const MOST_SESSIONS = 50;

export interface SessionStore {
  /** Begins a session by the hash of its token; one that the browser came with ends with it. */
  begin(person: string, token: Buffer, agent: string, before?: Buffer | null): Promise<void>;
  end(token: Buffer): Promise<void>;
  list(person: string, own: string): Promise<SessionSeen[]>;
  /** False when it is not one of theirs. */
  endOne(person: string, id: string): Promise<boolean>;
  /** All but one of theirs. */
  endOthers(person: string, own: string): Promise<void>;
  forgetOld(hours: number): Promise<void>;
}

/** Ends all sessions of a person, in a transaction or by itself. */
export async function endAll(on: DataSource | EntityManager, person: string): Promise<void> {
  await changedBy(on, 'DELETE FROM session WHERE person_id = $1', [person]);
  await tellAccess(on, { person });
}

interface SessionRow {
  id: string;
  agent: string;
  begunAt: Date;
  seenAt: Date;
}

/** Sessions in PostgreSQL; of a token only its hash is there. */
export function sessionStore(source: DataSource): SessionStore {
  const deleted = async (where: string, values: readonly unknown[]) => {
    const [rows] = (await source.query(`DELETE FROM session WHERE ${where} RETURNING person_id`, [
      ...values,
    ])) as [{ person_id: string }[], number];
    for (const person of new Set(rows.map((row) => row.person_id))) await tellAccess(source, { person });
    return rows.length;
  };

  return {
    begin: (person, token, agent, before = null) =>
      source.transaction(async (manager) => {
        if (before) await changedBy(manager, 'DELETE FROM session WHERE token = $1', [before]);
        await manager.query('INSERT INTO session (id, token, person_id, agent) VALUES ($1, $2, $3, $4)', [
          randomUUID(),
          token,
          person,
          agent.slice(0, MOST_AGENT),
        ]);
        await changedBy(
          manager,
          `DELETE FROM session WHERE id IN (
             SELECT id FROM session WHERE person_id = $1 ORDER BY seen_at DESC, id OFFSET $2)`,
          [person, MOST_SESSIONS],
        );
      }),

    async end(token) {
      await deleted('token = $1', [token]);
    },

    async list(person, own) {
      const rows = await rowsOf<SessionRow>(
        source,
        `SELECT id, agent, begun_at AS "begunAt", seen_at AS "seenAt" FROM session
         WHERE person_id = $1 ORDER BY seen_at DESC, id`,
        [person],
      );
      return rows.map(({ id, agent, begunAt, seenAt }) => ({
        id,
        own: id === own,
        agent,
        begunAt: begunAt.toISOString(),
        seenAt: seenAt.toISOString(),
      }));
    },

    endOne: async (person, id) => (await deleted('person_id = $1 AND id = $2', [person, id])) > 0,

    async endOthers(person, own) {
      await deleted('person_id = $1 AND id <> $2', [person, own]);
    },

    async forgetOld(hours) {
      await changedBy(source, `DELETE FROM session WHERE seen_at < now() - interval '${hours} hours'`);
    },
  };
}
