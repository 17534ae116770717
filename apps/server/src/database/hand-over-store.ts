import { randomUUID } from 'node:crypto';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import {
  type HandedWhat,
  type HandOver,
  type LoadedHandOver,
  MOST_HAND_OVERS,
} from '@mint-lamp/core/wire/hand-overs';
import type { DataSource } from 'typeorm';
import { documentOfThen } from './documents.ts';
import { HandOverEntry, type HandOverRow, Project } from './entities.ts';
import { there } from './removed-projects.ts';
import { SchemaVersionAhead } from './schema-version-ahead.ts';

/** Why a hand-over was not kept. */
type HandOverFault = 'no project' | 'ahead';

export interface HandOverStore {
  /** The newest first; null when the project is not there. */
  list(projectId: string): Promise<HandOver[] | null>;
  keep(
    authorId: string,
    projectId: string,
    revision: number,
    what: HandedWhat,
  ): Promise<HandOver | HandOverFault>;
  /** With the document of then; null when it is not there. */
  find(projectId: string, id: string): Promise<LoadedHandOver | null>;
  remove(projectId: string, id: string): Promise<boolean>;
}

const written = ({ id, revision, authorId, at, what }: HandOverRow): HandOver => ({
  ...what,
  id,
  revision,
  author: authorId,
  at: at.toISOString(),
});

/** Hand-overs in PostgreSQL. Each is a revision of the log, which never changes, and what was chosen then. */
export function handOverStore(source: DataSource): HandOverStore {
  const handOvers = source.getRepository(HandOverEntry);
  const projectOf = (projectId: string) =>
    source.getRepository(Project).findOne({
      where: there(projectId),
      select: { id: true, revision: true, version: true },
    });

  return {
    async list(projectId) {
      if (!(await projectOf(projectId))) return null;
      const rows = await handOvers.find({ where: { projectId }, order: { at: 'DESC', id: 'ASC' } });
      return rows.map(written);
    },

    async keep(authorId, projectId, revision, what) {
      const project = await projectOf(projectId);
      if (!project) return 'no project';
      if (project.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      if (revision > project.revision) return 'ahead';
      const row = handOvers.create({ id: randomUUID(), projectId, revision, what, authorId });
      // What the database fills in comes back into the row.
      await handOvers.insert(row);
      await source.query(
        `DELETE FROM hand_over WHERE id IN (
           SELECT id FROM hand_over WHERE project_id = $1 ORDER BY at DESC, id OFFSET $2)`,
        [projectId, MOST_HAND_OVERS],
      );
      return written(row);
    },

    async find(projectId, id) {
      const project = await projectOf(projectId);
      if (!project) return null;
      if (project.version > DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const row = await handOvers.findOneBy({ id, projectId });
      if (!row) return null;
      const document = await documentOfThen(source.manager, projectId, row.revision);
      return { ...written(row), document };
    },

    async remove(projectId, id) {
      if (!(await projectOf(projectId))) return false;
      const { affected } = await handOvers.delete({ id, projectId });
      return (affected ?? 0) > 0;
    },
  };
}
