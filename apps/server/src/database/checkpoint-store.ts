import { randomUUID } from 'node:crypto';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/document';
import { type Checkpoint, type LoadedCheckpoint, MOST_CHECKPOINTS } from '@mint-lamp/core/wire/checkpoints';
import type { DataSource } from 'typeorm';
import { documentOfThen } from './documents.ts';
import { FormAhead } from './form-ahead.ts';

/** Why a checkpoint was not saved or renamed. */
export type CheckpointFault = 'no project' | 'no checkpoint' | 'ahead' | 'taken' | 'full';

export interface CheckpointStore {
  /** The newest first; null when the project is not there. */
  list(ownerId: string, projectId: string): Promise<Checkpoint[] | null>;
  save(
    ownerId: string,
    projectId: string,
    revision: number,
    name: string,
  ): Promise<Checkpoint | CheckpointFault>;
  /** With the document of then; null when it is not there. */
  find(ownerId: string, projectId: string, id: string): Promise<LoadedCheckpoint | null>;
  rename(ownerId: string, projectId: string, id: string, name: string): Promise<Checkpoint | CheckpointFault>;
  remove(ownerId: string, projectId: string, id: string): Promise<boolean>;
}

interface Row {
  id: string;
  name: string;
  revision: number;
  at: Date;
}

const written = ({ id, name, revision, at }: Row): Checkpoint => ({
  id,
  name,
  revision,
  at: at.toISOString(),
});

/** PostgreSQL's word for a name that another row has. */
const isTaken = (error: unknown): boolean =>
  (error as { driverError?: { code?: string } }).driverError?.code === '23505';

/** A query of an UPDATE or DELETE answers with the rows and how many they are. */
type Changed = readonly [rows: Row[], count: number];

const OWN = `project_id IN (SELECT id FROM project WHERE id = $2 AND owner_id = $3 AND removed_at IS NULL)`;

/** Checkpoints in PostgreSQL. Each is a revision of the log, which never changes, so it takes no more than its name. */
export function checkpointStore(source: DataSource): CheckpointStore {
  const projectOf = async (ownerId: string, projectId: string) => {
    const [row]: { revision: number; version: number; count: number }[] = await source.query(
      `SELECT revision, version, (SELECT count(*)::int FROM checkpoint WHERE project_id = project.id) AS count
       FROM project WHERE id = $1 AND owner_id = $2 AND removed_at IS NULL`,
      [projectId, ownerId],
    );
    return row ?? null;
  };

  return {
    async list(ownerId, projectId) {
      if (!(await projectOf(ownerId, projectId))) return null;
      const rows: Row[] = await source.query(
        `SELECT id, name, revision, at FROM checkpoint WHERE project_id = $1 ORDER BY at DESC, id`,
        [projectId],
      );
      return rows.map(written);
    },

    async save(ownerId, projectId, revision, name) {
      const project = await projectOf(ownerId, projectId);
      if (!project) return 'no project';
      if (project.version > DOCUMENT_VERSION) throw new FormAhead();
      if (revision > project.revision) return 'ahead';
      if (project.count >= MOST_CHECKPOINTS) return 'full';
      try {
        const [row]: Row[] = await source.query(
          `INSERT INTO checkpoint (id, project_id, revision, name) VALUES ($1, $2, $3, $4)
           RETURNING id, name, revision, at`,
          [randomUUID(), projectId, revision, name],
        );
        return written(row!);
      } catch (error) {
        if (isTaken(error)) return 'taken';
        throw error;
      }
    },

    async find(ownerId, projectId, id) {
      const project = await projectOf(ownerId, projectId);
      if (!project) return null;
      if (project.version > DOCUMENT_VERSION) throw new FormAhead();
      const [row]: Row[] = await source.query(
        `SELECT id, name, revision, at FROM checkpoint WHERE id = $1 AND ${OWN}`,
        [id, projectId, ownerId],
      );
      if (!row) return null;
      const document = await documentOfThen(source.manager, projectId, row.revision);
      return { ...written(row), document };
    },

    async rename(ownerId, projectId, id, name) {
      try {
        const [rows]: Changed = await source.query(
          `UPDATE checkpoint SET name = $4 WHERE id = $1 AND ${OWN} RETURNING id, name, revision, at`,
          [id, projectId, ownerId, name],
        );
        return rows[0] ? written(rows[0]) : 'no checkpoint';
      } catch (error) {
        if (isTaken(error)) return 'taken';
        throw error;
      }
    },

    async remove(ownerId, projectId, id) {
      const [, count]: Changed = await source.query(`DELETE FROM checkpoint WHERE id = $1 AND ${OWN}`, [
        id,
        projectId,
        ownerId,
      ]);
      return count > 0;
    },
  };
}
