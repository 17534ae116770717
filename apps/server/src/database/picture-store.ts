import { Readable } from 'node:stream';
import type { DataSource } from 'typeorm';
import type { KeptPicture } from '../pictures/intake.ts';
import { PictureContent, type PictureContentRow, PicturePart, Project, ProjectPicture } from './entities.ts';

/** Bytes of a part: what is read and sent at a time. */
const PART = 512 * 1024;

export interface PictureStore {
  /** Keeps a picture for a project, its bytes once for the same content. False when the project is not there. */
  keep(ownerId: string, projectId: string, picture: KeptPicture): Promise<boolean>;
  /** What a project may see; null when it was never given that. */
  find(ownerId: string, projectId: string, content: string): Promise<PictureContentRow | null>;
  hasProject(ownerId: string, projectId: string): Promise<boolean>;
  /** The bytes of a content, part by part. */
  read(content: string): Readable;
  /** Forgets what no project has any more. */
  forgetUnused(): Promise<void>;
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

  const hasProject = (ownerId: string, id: string) => source.getRepository(Project).existsBy({ id, ownerId });

  return {
    hasProject,

    async keep(ownerId, projectId, { content, bytes, small, mediaType, width, height }) {
      return source.transaction(async (manager) => {
        const project = await manager
          .getRepository(Project)
          .findOne({ where: { id: projectId, ownerId }, lock: { mode: 'pessimistic_read' } });
        if (!project) return false;
        const row = { content, mediaType, width, height, size: bytes.length, small: Buffer.from(small) };
        const made = await manager
          .createQueryBuilder()
          .insert()
          .into(PictureContent)
          .values(row)
          .orIgnore()
          .returning('content')
          .execute();
        if (made.raw.length)
          for (let part = 0; part * PART < bytes.length; part++) {
            const chunk = Buffer.from(bytes.subarray(part * PART, (part + 1) * PART));
            await manager.getRepository(PicturePart).insert({ content, part, bytes: chunk });
          }
        await manager
          .createQueryBuilder()
          .insert()
          .into(ProjectPicture)
          .values({ projectId, content })
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

    async forgetUnused() {
      await source.query(`
        DELETE FROM picture_content c
        WHERE NOT EXISTS (SELECT 1 FROM project_picture p WHERE p.content = c.content)`);
    },
  };
}
