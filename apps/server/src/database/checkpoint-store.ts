import { randomUUID } from 'node:crypto';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { type Checkpoint, type LoadedCheckpoint, MOST_CHECKPOINTS } from '@mint-lamp/core/wire/checkpoints';
import type { DataSource } from 'typeorm';
import { documentOfThen } from './documents.ts';
import { CheckpointEntry, type CheckpointRow, Project } from './entities.ts';
import { there } from './removed-projects.ts';
import { SchemaVersionAhead } from './schema-version-ahead.ts';

/** Why a checkpoint was not saved or renamed. */
export type CheckpointFault = 'no project' | 'no checkpoint' | 'ahead' | 'taken' | 'full';

export interface CheckpointStore {
  /** The newest first; null when the project is not there. */
  list(projectId: string): Promise<Checkpoint[] | null>;
  save(
    authorId: string,
    projectId: string,
    revision: number,
    name: string,
    at?: Date | undefined,
  ): Promise<Checkpoint | CheckpointFault>;
  /** With the document of then; null when it is not there. */
  find(projectId: string, id: string): Promise<LoadedCheckpoint | null>;
  rename(projectId: string, id: string, name: string): Promise<Checkpoint | CheckpointFault>;
  remove(projectId: string, id: string): Promise<boolean>;
}

const written = ({ id, name, revision, authorId, at }: CheckpointRow): Checkpoint => ({
  id,
  name,
  revision,
  author: authorId,
  at: at.toISOString(),
});

/** PostgreSQL's word for a name that another row has. */
const isTaken = (error: unknown): boolean =>
  (error as { driverError?: { code?: string } }).driverError?.code === '23505';

/** Checkpoints in PostgreSQL. Each is a revision of the log, which never changes, so it takes no more than its name. */
export function checkpointStore(source: DataSource): CheckpointStore {
  const checkpoints = source.getRepository(CheckpointEntry);
  const projectOf = (projectId: string) =>
    source.getRepository(Project).findOne({
      where: there(projectId),
      select: { id: true, revision: true, version: true },
    });
  /** What a change comes to, or that the name is taken. */
  const unlessTaken = async <T>(change: () => Promise<T>): Promise<T | 'taken'> => {
    try {
      return await change();
    } catch (error) {
      if (isTaken(error)) return 'taken';
      throw error;
    }
  };

  return {
    async list(projectId) {
      if (!(await projectOf(projectId))) return null;
      const rows = await checkpoints.find({ where: { projectId }, order: { at: 'DESC', id: 'ASC' } });
      return rows.map(written);
    },

    async save(authorId, projectId, revision, name, at) {
      const project = await projectOf(projectId);
      if (!project) return 'no project';
      if (project.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      if (revision > project.revision) return 'ahead';
      if ((await checkpoints.countBy({ projectId })) >= MOST_CHECKPOINTS) return 'full';
      const row = checkpoints.create({
        id: randomUUID(),
        projectId,
        revision,
        name,
        authorId,
        ...(at ? { at } : {}),
      });
      // What the database fills in comes back into the row.
      return unlessTaken(() => checkpoints.insert(row).then(() => written(row)));
    },

    async find(projectId, id) {
      const project = await projectOf(projectId);
      if (!project) return null;
      if (project.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const row = await checkpoints.findOneBy({ id, projectId });
      if (!row) return null;
      const document = await documentOfThen(source.manager, projectId, row.revision);
      return { ...written(row), document };
    },

    async rename(projectId, id, name) {
      const row = (await projectOf(projectId)) && (await checkpoints.findOneBy({ id, projectId }));
      if (!row) return 'no checkpoint';
      return unlessTaken(async () => {
        const { affected } = await checkpoints.update({ id, projectId }, { name });
        return affected ? written({ ...row, name }) : 'no checkpoint';
      });
    },

    async remove(projectId, id) {
      if (!(await projectOf(projectId))) return false;
      const { affected } = await checkpoints.delete({ id, projectId });
      return (affected ?? 0) > 0;
    },
  };
}
