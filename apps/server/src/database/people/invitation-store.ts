import { randomUUID } from 'node:crypto';
import type { Access } from '@mint-lamp/core/wire/access';
import type { InvitationSeen, SentInvitation } from '@mint-lamp/core/wire/people';
import type { DataSource, EntityManager } from 'typeorm';
import { lockInTransaction } from '../advisory-lock.ts';
import { changedBy, rowsOf } from './queries.ts';
import { join } from './team-store.ts';

/** Who is invited, to what. */
interface Invited {
  /** Null for the first person of a server, who says it. */
  readonly email: string | null;
  readonly team: string | null;
  readonly access: Access | null;
  readonly administrator: boolean;
  /** Null for the server itself. */
  readonly from: string | null;
}

/** An invitation that was just taken: nobody can take it again. */
export interface TakenInvitation {
  readonly email: string | null;
  readonly team: string | null;
  readonly access: Access | null;
  readonly administrator: boolean;
}

export interface InvitationStore {
  /** By the hash of its token; one to the same address and team before is of no use any more. */
  send(token: Buffer, invited: Invited, days: number): Promise<SentInvitation>;
  /** Null when there is none, or its time is over. */
  look(token: Buffer): Promise<InvitationSeen | null>;
  /** Takes it and does something with it, or neither; null when there is none. */
  take<T>(
    token: Buffer,
    body: (manager: EntityManager, one: TakenInvitation) => Promise<T>,
  ): Promise<T | null>;
  /** Of a team, or of the server alone. */
  list(team: string | null): Promise<SentInvitation[]>;
  /** False when it is not among those of that team, or of the server alone. */
  withdraw(team: string | null, id: string): Promise<boolean>;
  /** Makes a one-time address of a server's first person, unless there is somebody. */
  first(token: Buffer, days: number): Promise<boolean>;
}

interface InvitationRow {
  id: string;
  email: string;
  access: Access | null;
  endsAt: Date;
}

const COLUMNS = 'id, email, access, ends_at AS "endsAt"';
const written = ({ endsAt, ...row }: InvitationRow): SentInvitation => ({
  ...row,
  endsAt: endsAt.toISOString(),
});

/** Invitations in PostgreSQL; of a token only its hash is there. */
export function invitationStore(source: DataSource): InvitationStore {
  const insert = async (manager: EntityManager, token: Buffer, invited: Invited, days: number) => {
    const { email, team, access, administrator, from } = invited;
    // Of a server's first person each process prints one, and any of them works while there is nobody.
    await changedBy(manager, 'DELETE FROM invitation WHERE email = $1 AND team_id IS NOT DISTINCT FROM $2', [
      email,
      team,
    ]);
    const [row] = await rowsOf<InvitationRow>(
      manager,
      `INSERT INTO invitation (id, token, email, team_id, access, administrator, invited_by, ends_at)
       VALUES ($1, $2, $3, $4, $5, $6, $7, now() + make_interval(days => $8)) RETURNING ${COLUMNS}`,
      [randomUUID(), token, email, team, access, administrator, from, days],
    );
    return written(row!);
  };

  return {
    send: (token, invited, days) => source.transaction((manager) => insert(manager, token, invited, days)),

    async look(token) {
      const [row] = await rowsOf<Omit<InvitationSeen, 'endsAt'> & { endsAt: Date }>(
        source,
        `SELECT i.email, t.name AS team, i.access, o.name AS from, i.ends_at AS "endsAt",
           EXISTS (SELECT 1 FROM person p WHERE p.email = i.email) AS known
         FROM invitation i LEFT JOIN owner t ON t.id = i.team_id LEFT JOIN owner o ON o.id = i.invited_by
         WHERE i.token = $1 AND i.ends_at > now()`,
        [token],
      );
      return row ? { ...row, endsAt: row.endsAt.toISOString() } : null;
    },

    take: (token, body) =>
      source.transaction(async (manager) => {
        const [seen] = await rowsOf<{ first: boolean }>(
          manager,
          'SELECT email IS NULL AS first FROM invitation WHERE token = $1 AND ends_at > now()',
          [token],
        );
        if (!seen) return null;
        // Before any row is: of two who hold one each and want the other's, neither would come on.
        if (seen.first) await lockInTransaction(manager, 'first person', 'alone');
        // Whoever deletes the row has it; a second one finds none.
        const [[row]] = (await manager.query(
          `DELETE FROM invitation WHERE token = $1 AND ends_at > now()
           RETURNING email, team_id AS team, access, administrator`,
          [token],
        )) as [TakenInvitation[], number];
        if (!row) return null;
        if (row.email === null) {
          if ((await rowsOf(manager, 'SELECT 1 FROM person LIMIT 1')).length) return null;
          await changedBy(manager, 'DELETE FROM invitation WHERE email IS NULL');
        }
        return body(manager, row);
      }),

    async list(team) {
      const rows = await rowsOf<InvitationRow>(
        source,
        `SELECT ${COLUMNS} FROM invitation
         WHERE team_id IS NOT DISTINCT FROM $1 AND email IS NOT NULL AND ends_at > now() ORDER BY at DESC, id`,
        [team],
      );
      return rows.map(written);
    },

    withdraw: async (team, id) =>
      (await changedBy(
        source,
        'DELETE FROM invitation WHERE id = $2 AND team_id IS NOT DISTINCT FROM $1 AND email IS NOT NULL',
        [team, id],
      )) > 0,

    async first(token, days) {
      if ((await rowsOf(source, 'SELECT 1 FROM person LIMIT 1')).length) return false;
      const invited = { email: null, team: null, access: null, administrator: true, from: null };
      await source.transaction((manager) => insert(manager, token, invited, days));
      return true;
    },
  };
}

/** Lets somebody into what they were invited to. */
export async function letIn(
  manager: EntityManager,
  person: string,
  { team, access, administrator }: TakenInvitation,
): Promise<void> {
  if (team && access) await join(manager, team, person, access);
  if (administrator)
    await changedBy(manager, 'UPDATE person SET administrator = true WHERE id = $1', [person]);
}
