import { Readable } from 'node:stream';
import { MOST_PICTURES } from '@mint-lamp/core/document/pictures/picture';
import { type DataSource, type EntityManager, In, LessThan } from 'typeorm';
import { refused } from '../pictures/refused-picture.ts';
import type { BucketStore } from '../pictures/storing/bucket.ts';
import type { TakenPicture } from '../pictures/storing/take-in-file.ts';
import { lockInTransaction } from './advisory-lock.ts';
import { Project } from './entities.ts';
import { bytesInBucket, bytesInDatabase, type PictureBytes } from './picture-bytes.ts';
import {
  PictureContent,
  type PictureContentRow,
  PictureLeftover,
  type PicturePlace,
  ProjectPicture,
} from './picture-entities.ts';
import { there } from './removed-projects.ts';

/** Pictures that a project may be given without anything in it naming them. */
export const MOST_UNNAMED = 2 * MOST_PICTURES;
const DAY_MS = 24 * 60 * 60 * 1000;

export interface PictureStore {
  /**
   * Keeps a picture for a project, its bytes once for the same content; `named` when the project names it already. False
   * when the project is not there.
   */
  keep(projectId: string, picture: TakenPicture, named?: boolean): Promise<boolean>;
  /** What a project may see; null when it was never given that. */
  find(projectId: string, content: string): Promise<PictureContentRow | null>;
  /** What a project was given. */
  list(projectId: string): Promise<Pick<PictureContentRow, 'content' | 'mediaType'>[]>;
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

/**
 * Pictures in PostgreSQL; their bytes there too, or in a bucket where there is one. What was kept before there was one
 * stays where it is.
 */
export function pictureStore(source: DataSource, bucket: BucketStore | null = null): PictureStore {
  const places: Readonly<Record<PicturePlace, PictureBytes | null>> = {
    database: bytesInDatabase(source),
    bucket: bucket && bytesInBucket(bucket),
  };
  const place: PicturePlace = bucket ? 'bucket' : 'database';
  const bytesAt = (where: PicturePlace): PictureBytes => {
    const bytes = places[where];
    if (!bytes)
      throw new Error('A picture lies in a bucket, and this server was told of none (PICTURES_URL).');
    return bytes;
  };

  async function* bytesOf(content: string): AsyncGenerator<Uint8Array> {
    const row = await source
      .getRepository(PictureContent)
      .findOne({ where: { content }, select: { content: true, place: true } });
    if (row) yield* bytesAt(row.place).read(content);
  }

  /** Bytes in the bucket whose row is gone, noted with it, so that they go whichever process comes to it. */
  const clearBucket = async (): Promise<void> => {
    if (!bucket) return;
    const left = await source.getRepository(PictureLeftover).find();
    for (const { content } of left)
      await source.transaction(async (manager) => {
        await lockContents(manager, 'to forget');
        const isBack = await manager.getRepository(PictureContent).existsBy({ content });
        if (!isBack) await bytesAt('bucket').remove(content);
        await manager.getRepository(PictureLeftover).delete({ content });
      });
  };

  return {
    async keep(projectId, picture, named = false) {
      const { content, file, size, small, mediaType, width, height } = picture;
      return source.transaction(async (manager) => {
        await lockContents(manager, 'to keep');
        const project = await manager
          .getRepository(Project)
          .findOne({ where: there(projectId), lock: { mode: 'pessimistic_read' } });
        if (!project) return false;
        await makeRoom(manager, projectId);
        const row = { content, mediaType, width, height, size, small: Buffer.from(small), place };
        const made = await manager
          .createQueryBuilder()
          .insert()
          .into(PictureContent)
          .values(row)
          .orIgnore()
          .returning('content')
          .execute();
        if (made.raw.length) await bytesAt(place).write(manager, { content, file, size, mediaType });
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

    async find(projectId, content) {
      if (!(await source.getRepository(ProjectPicture).existsBy({ projectId, content }))) return null;
      return source.getRepository(PictureContent).findOneBy({ content });
    },

    async list(projectId) {
      const given = await source.getRepository(ProjectPicture).findBy({ projectId });
      return source.getRepository(PictureContent).find({
        where: { content: In(given.map(({ content }) => content)) },
        select: { content: true, mediaType: true },
        order: { content: 'ASC' },
      });
    },

    read: (content) => Readable.from(bytesOf(content), { objectMode: false }),

    async forgetUnused() {
      await source.transaction(async (manager) => {
        await lockContents(manager, 'to forget');
        const unused =
          'NOT EXISTS (SELECT 1 FROM project_picture p WHERE p.content = picture_content.content)';
        const { raw } = await manager
          .createQueryBuilder()
          .delete()
          .from(PictureContent)
          .where(unused)
          .returning(['content', 'place'])
          .execute();
        for (const { content, place: where } of raw as { content: string; place: PicturePlace }[])
          if (where === 'bucket')
            await manager
              .createQueryBuilder()
              .insert()
              .into(PictureLeftover)
              .values({ content })
              .orIgnore()
              .execute();
      });
      await clearBucket();
    },
  };
}
