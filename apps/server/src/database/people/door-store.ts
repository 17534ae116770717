import type { Access } from '@mint-lamp/core/wire/access';
import type { SignedIn } from '@mint-lamp/core/wire/people';
import type { DataSource } from 'typeorm';
import { changedBy, rowsOf } from './queries.ts';

/** How long a session lasts, hours: from the sign-in, and without being used. */
export interface SessionLimits {
  readonly hours: number;
  readonly idleHours: number;
}

/** Somebody who is signed in, by the session that they came with. */
interface Visitor extends SignedIn {
  readonly session: string;
}

/** What a person may do on something; null for nothing, as where it is not there. */
export interface DoorStore {
  /** Who a token belongs to; null for nobody. Notes that they were here. */
  visitor(token: Buffer): Promise<Visitor | null>;
  /** Whether a session is still one. */
  isOpen(session: string): Promise<boolean>;
  toProject(person: string, project: string): Promise<Access | null>;
  /** Of one that was removed and can be had back. */
  toRemoved(person: string, project: string): Promise<Access | null>;
  toTeam(person: string, team: string): Promise<Access | null>;
}

/** Being seen is noted no more often than this, s. */
const SEEN_EVERY = 60;

/** What a person (`$1`) may do with a project `p`: their own, or by their team with its exception. */
export const ACCESS_TO_P = `
  CASE WHEN p.owner_id = $1 THEN 'owner' ELSE (
    SELECT CASE WHEN m.access = 'owner' THEN 'owner' ELSE nullif(coalesce(e.access, m.access), 'none') END
    FROM membership m
    LEFT JOIN project_exception e ON e.project_id = p.id AND e.person_id = m.person_id
    WHERE m.team_id = p.owner_id AND m.person_id = $1
  ) END`;

/** That a project `p` is a person's (`$1`) or of one of their teams, by the index of owners. */
export const OWNED_BY_THEIRS = `
  p.owner_id IN (SELECT $1::uuid UNION ALL SELECT m.team_id FROM membership m WHERE m.person_id = $1)`;

interface VisitorRow extends SignedIn {
  session: string;
  stale: boolean;
}

/** Who may go where: the one place in which that is asked of the database. */
export function doorStore(source: DataSource, { hours, idleHours }: SessionLimits): DoorStore {
  const open = `s.begun_at > now() - interval '${hours} hours' AND s.seen_at > now() - interval '${idleHours} hours'`;
  const accessTo = async (person: string, id: string, where: string) => {
    const [row] = await rowsOf<{ access: Access | null }>(
      source,
      `SELECT ${ACCESS_TO_P} AS access FROM project p WHERE p.id = $2 AND ${where}`,
      [person, id],
    );
    return row?.access ?? null;
  };

  return {
    async visitor(token) {
      const [row] = await rowsOf<VisitorRow>(
        source,
        `SELECT s.id AS session, s.person_id AS id, o.name, p.email, p.administrator,
           s.seen_at < now() - interval '${SEEN_EVERY} seconds' AS stale
         FROM session s JOIN person p ON p.id = s.person_id JOIN owner o ON o.id = p.id
         WHERE s.token = $1 AND ${open}`,
        [token],
      );
      if (!row) return null;
      const { stale, ...visitor } = row;
      if (stale) await changedBy(source, 'UPDATE session SET seen_at = now() WHERE id = $1', [row.session]);
      return visitor;
    },

    async isOpen(session) {
      const rows = await rowsOf(source, `SELECT 1 FROM session s WHERE s.id = $1 AND ${open}`, [session]);
      return rows.length > 0;
    },

    toProject: (person, id) => accessTo(person, id, 'p.removed_at IS NULL'),
    toRemoved: (person, id) => accessTo(person, id, 'p.removed_at IS NOT NULL'),

    async toTeam(person, team) {
      const [row] = await rowsOf<{ access: Access }>(
        source,
        'SELECT access FROM membership WHERE person_id = $1 AND team_id = $2',
        [person, team],
      );
      return row?.access ?? null;
    },
  };
}
