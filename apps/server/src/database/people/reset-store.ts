import type { DataSource } from 'typeorm';
import { changedBy, rowsOf } from './queries.ts';
import { endAll } from './session-store.ts';

export interface ResetStore {
  /** By the hash of a token, for so many minutes; one before it is of no use any more. Null when nobody has that address. */
  begin(email: string, token: Buffer, minutes: number): Promise<{ readonly name: string } | null>;
  /** Who may set another passphrase by it; null for nobody. */
  whose(
    token: Buffer,
  ): Promise<{ readonly id: string; readonly email: string; readonly name: string } | null>;
  /** Sets it and ends all sessions, once; false when it was used meanwhile or its time is over. */
  use(token: Buffer, hash: string): Promise<boolean>;
}

/** Addresses by which a forgotten passphrase is set anew, in PostgreSQL; of a token only its hash is there. */
export function resetStore(source: DataSource): ResetStore {
  return {
    begin: (email, token, minutes) =>
      source.transaction(async (manager) => {
        const [person] = await rowsOf<{ id: string; name: string }>(
          manager,
          'SELECT p.id, o.name FROM person p JOIN owner o ON o.id = p.id WHERE p.email = $1',
          [email],
        );
        if (!person) return null;
        await changedBy(manager, 'DELETE FROM reset_link WHERE person_id = $1', [person.id]);
        await manager.query(
          `INSERT INTO reset_link (token, person_id, ends_at) VALUES ($1, $2, now() + make_interval(mins => $3))`,
          [token, person.id, minutes],
        );
        return { name: person.name };
      }),

    async whose(token) {
      const [row] = await rowsOf<{ id: string; email: string; name: string }>(
        source,
        `SELECT p.id, p.email, o.name FROM reset_link r JOIN person p ON p.id = r.person_id
         JOIN owner o ON o.id = p.id WHERE r.token = $1 AND r.ends_at > now()`,
        [token],
      );
      return row ?? null;
    },

    use: (token, hash) =>
      source.transaction(async (manager) => {
        const [[row]] = (await manager.query(
          'DELETE FROM reset_link WHERE token = $1 AND ends_at > now() RETURNING person_id AS id',
          [token],
        )) as [{ id: string }[], number];
        if (!row) return false;
        await changedBy(manager, 'UPDATE person SET passphrase = $2 WHERE id = $1', [row.id, hash]);
        await endAll(manager, row.id);
        return true;
      }),
  };
}
