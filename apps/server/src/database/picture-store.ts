import { open } from 'node:fs/promises';
import { Readable } from 'node:stream';
import { MOST_PICTURES } from '@mint-lamp/core/document/pictures/picture';
import { type DataSource, type EntityManager, LessThan } from 'typeorm';
import { refused } from '../pictures/refused-picture.ts';
import type { TakenPicture } from '../pictures/storing/take-in-file.ts';
import { lockInTransaction } from './advisory-lock.ts';
import { Project } from './entities.ts';
import { PictureContent, type PictureContentRow, PicturePart, ProjectPicture } from './picture-entities.ts';
import { there } from './removed-projects.ts';

/** Bytes of a part: what is read and sent at a time. */
const PART = 512 * 1024;
/** Pictures that a project may be given without anything in it naming them. */
export const MOST_UNNAMED = 2 * MOST_PICTURES;
const DAY_MS = 24 * 60 * 60 * 1000;

export interface PictureStore {
  /**
   * Keeps a picture for a project, its bytes once for the same content; `named` when the project names it already. False
   * when the project is not there.
   */
  keep(ownerId: string, projectId: string, picture: TakenPicture, named?: boolean): Promise<boolean>;
  /** What a project may see; null when it was never given that. */
  find(ownerId: string, projectId: string, content: string): Promise<PictureContentRow | null>;
  hasProject(ownerId: string, projectId: string): Promise<boolean>;
  /** The bytes of a content, part by part. */
  read(content: string): Readable;
  /** Forgets what no project has any more. */
  forgetUnused(): Promise<void>;
}

/**
 * Keeps what is being given to a project from being forgotten at that moment: those who keep do so side by side, one who
 * forgets does so alone.
 */
const lockContents = (manager: EntityManager, why: 'to keep' | 'to forget') =>
  lockInTransaction(manager, 'pictures', why === 'to keep' ? 'shared' : 'alone');

/** Writes a file to the database, part by part, so that no more than a part is held. */
async function writeParts(manager: EntityManager, content: string, file: string): Promise<void> {
  const handle = await open(file);
  try {
    for (let part = 0; ; part++) {
      const bytes = Buffer.alloc(PART);
      const { bytesRead } = await handle.read(bytes, 0, PART, part * PART);
      if (!bytesRead) return;
      await manager.getRepository(PicturePart).insert({ content, part, bytes: bytes.subarray(0, bytesRead) });
    }
  } finally {
    await handle.close();
  }
}

/**
 * Makes room for one more picture that no command of the project's log has named: where there are many, those of
 * before yesterday go. Throws ApiError where there are too many all the same.
 */
async function makeRoom(manager: EntityManager, projectId: string): Promise<void> {
  const unnamed = { projectId, named: false };
  const pictures = manager.getRepository(ProjectPicture);
  if ((await pictures.countBy(unnamed)) < MOST_UNNAMED) return;
  await pictures.delete({ ...unnamed, at: LessThan(new Date(Date.now() - DAY_MS)) });
  if ((await pictures.countBy(unnamed)) >= MOST_UNNAMED) throw refused.tooMany(MOST_UNNAMED);
}

/** Pictures in PostgreSQL. */
export function pictureStore(source: DataSource): PictureStore {
  async function* parts(content: string): AsyncGenerator<Buffer> {
    for (let part = 0; ; part++) {
      const row = await source.getRepository(PicturePart).findOneBy({ content, part });
      if (!row) return;
      yield row.bytes;
    }
  }

  const hasProject = (ownerId: string, id: string) =>
    source.getRepository(Project).existsBy(there(id, ownerId));

  return {
    hasProject,

    async keep(ownerId, projectId, picture, named = false) {
      const { content, file, size, small, mediaType, width, height } = picture;
      return source.transaction(async (manager) => {
        await lockContents(manager, 'to keep');
        const project = await manager
          .getRepository(Project)
          .findOne({ where: there(projectId, ownerId), lock: { mode: 'pessimistic_read' } });
        if (!project) return false;
        await makeRoom(manager, projectId);
        const row = { content, mediaType, width, height, size, small: Buffer.from(small) };
        const made = await manager
          .createQueryBuilder()
          .insert()
          .into(PictureContent)
          .values(row)
          .orIgnore()
          .returning('content')
          .execute();
        if (made.raw.length) await writeParts(manager, content, file);
        await manager
          .createQueryBuilder()
          .insert()
          .into(ProjectPicture)
          .values({ projectId, content, named })
          .orIgnore()
          .execute();
        return true;
      });
    },

    async find(ownerId, projectId, content) {
      if (!(await hasProject(ownerId, projectId))) return null;
      if (!(await source.getRepository(ProjectPicture).existsBy({ projectId, content }))) return null;
      return source.getRepository(PictureContent).findOneBy({ content });
    },

    read: (content) => Readable.from(parts(content), { objectMode: false }),

    forgetUnused: () =>
      source.transaction(async (manager) => {
        await lockContents(manager, 'to forget');
        await manager
          .createQueryBuilder()
          .delete()
          .from(PictureContent)
          .where('NOT EXISTS (SELECT 1 FROM project_picture p WHERE p.content = picture_content.content)')
          .execute();
      }),
  };
}
