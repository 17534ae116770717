import { randomUUID } from 'node:crypto';
import {
  MOST_SHARES,
  type NewShare,
  type Share,
  type ShareChange,
  type ShareSubject,
} from '@mint-lamp/core/wire/shares';
import type { DataSource } from 'typeorm';
import { tellAccess } from './people/access-notices.ts';
import { changedBy, rowsOf } from './people/queries.ts';

/** A share that is open, as its door sees it. */
export interface OpenShare {
  readonly id: string;
  readonly projectId: string;
  readonly name: string;
  readonly subject: ShareSubject;
  readonly revision: number | null;
  readonly tries: boolean;
  readonly notes: boolean;
  readonly endsAt: Date;
  /** As it is kept; null for none. */
  readonly passphrase: string | null;
}

/** A share as it is made: its passphrase as it is kept. */
type StoredShare = Omit<NewShare, 'passphrase'> & { readonly passphrase: string | null };

export interface ShareStore {
  /** The newest first. */
  list(projectId: string): Promise<Share[]>;
  /** By the hash of its token; null where the project has as many as it may. */
  make(authorId: string, projectId: string, token: Buffer, share: StoredShare): Promise<Share | null>;
  change(projectId: string, id: string, change: ShareChange): Promise<Share | null>;
  /** Shuts it for whoever has its address, at once. */
  shut(projectId: string, id: string): Promise<Share | null>;
  /** Gives it another address, and opens it if it was shut; the one before leads nowhere. */
  readdress(projectId: string, id: string, token: Buffer): Promise<Share | null>;
  remove(projectId: string, id: string): Promise<boolean>;
  /** The share that a token opens; null for one that is shut, has ended, or never was. */
  open(token: Buffer): Promise<OpenShare | null>;
  isOpen(id: string): Promise<boolean>;
  countOpening(id: string): Promise<void>;
  /** Notes that somebody follows the live style sheet of a share, for the next while. */
  noteFollowed(id: string): Promise<void>;
  /** Whether somebody follows a live style sheet of a project, in whichever process. */
  isFollowed(projectId: string): Promise<boolean>;
}

/** s for which somebody who follows counts as there without saying so again. */
export const FOLLOWED_S = 90;

const COLUMNS = `s.id, s.name, s.subject, s.revision, s.tries, s.notes, s.ends_at AS "endsAt",
  s.passphrase IS NOT NULL AS locked, s.shut_at AS "shutAt", s.made_at AS "madeAt", s.author_id AS author,
  s.opened, s.opened_at AS "openedAt"`;

type Row = Omit<Share, 'endsAt' | 'shutAt' | 'madeAt' | 'openedAt'> & {
  readonly endsAt: Date;
  readonly shutAt: Date | null;
  readonly madeAt: Date;
  readonly openedAt: Date | null;
};

const written = (row: Row): Share => ({
  ...row,
  endsAt: row.endsAt.toISOString(),
  shutAt: row.shutAt?.toISOString() ?? null,
  madeAt: row.madeAt.toISOString(),
  openedAt: row.openedAt?.toISOString() ?? null,
});

/** That a share `s` can be opened, with its project `p`. */
const IS_OPEN = 's.shut_at IS NULL AND s.ends_at > now() AND p.removed_at IS NULL';

/** Shares in PostgreSQL; of an address only the hash is there. */
export function shareStore(source: DataSource): ShareStore {
  /** Changes a share, and tells those who have it open to look again whether they may. */
  const changed = async (
    projectId: string,
    id: string,
    set: string,
    values: readonly unknown[],
  ): Promise<Share | null> => {
    const [rows] = (await source.query(
      `UPDATE share s SET ${set} WHERE s.id = $1 AND s.project_id = $2 RETURNING ${COLUMNS}`,
      [id, projectId, ...values],
    )) as [Row[], number];
    if (!rows[0]) return null;
    await tellAccess(source, { project: projectId });
    return written(rows[0]);
  };

  return {
    async list(projectId) {
      const rows = await rowsOf<Row>(
        source,
        `SELECT ${COLUMNS} FROM share s WHERE s.project_id = $1 ORDER BY s.made_at DESC, s.id`,
        [projectId],
      );
      return rows.map(written);
    },

    async make(authorId, projectId, token, share) {
      const { name, subject, revision, tries, notes, endsAt, passphrase } = share;
      const [row] = await rowsOf<Row>(
        source,
        `INSERT INTO share AS s
           (id, project_id, token, name, subject, revision, tries, notes, ends_at, passphrase, author_id)
         SELECT $1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11
         WHERE (SELECT count(*) FROM share WHERE project_id = $2) < ${MOST_SHARES}
         RETURNING ${COLUMNS}`,
        [
          randomUUID(),
          projectId,
          token,
          name,
          JSON.stringify(subject),
          revision,
          tries,
          notes,
          endsAt,
          passphrase,
          authorId,
        ],
      );
      return row ? written(row) : null;
    },

    change: (projectId, id, { name, endsAt }) =>
      changed(projectId, id, 'name = coalesce($3, s.name), ends_at = coalesce($4, s.ends_at)', [
        name ?? null,
        endsAt ?? null,
      ]),

    shut: (projectId, id) => changed(projectId, id, 'shut_at = coalesce(s.shut_at, now())', []),

    readdress: (projectId, id, token) => changed(projectId, id, 'token = $3, shut_at = NULL', [token]),

    async remove(projectId, id) {
      const count = await changedBy(source, 'DELETE FROM share WHERE id = $1 AND project_id = $2', [
        id,
        projectId,
      ]);
      if (count) await tellAccess(source, { project: projectId });
      return count > 0;
    },

    async open(token) {
      const [row] = await rowsOf<OpenShare>(
        source,
        `SELECT s.id, s.project_id AS "projectId", s.name, s.subject, s.revision, s.tries, s.notes,
           s.ends_at AS "endsAt", s.passphrase
         FROM share s JOIN project p ON p.id = s.project_id WHERE s.token = $1 AND ${IS_OPEN}`,
        [token],
      );
      return row ?? null;
    },

    async isOpen(id) {
      const rows = await rowsOf(
        source,
        `SELECT 1 FROM share s JOIN project p ON p.id = s.project_id WHERE s.id = $1 AND ${IS_OPEN}`,
        [id],
      );
      return rows.length > 0;
    },

    async noteFollowed(id) {
      await changedBy(
        source,
        `UPDATE share SET followed_until = now() + make_interval(secs => ${FOLLOWED_S}) WHERE id = $1`,
        [id],
      );
    },

    async isFollowed(projectId) {
      const rows = await rowsOf(
        source,
        `SELECT 1 FROM share s JOIN project p ON p.id = s.project_id
         WHERE s.project_id = $1 AND s.followed_until > now() AND s.revision IS NULL AND ${IS_OPEN} LIMIT 1`,
        [projectId],
      );
      return rows.length > 0;
    },

    async countOpening(id) {
      await changedBy(source, 'UPDATE share SET opened = opened + 1, opened_at = now() WHERE id = $1', [id]);
    },
  };
}
