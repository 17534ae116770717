import { open } from 'node:fs/promises';
import { Readable } from 'node:stream';
import type { DataSource, EntityManager } from 'typeorm';
import type { BucketStore } from '../pictures/storing/bucket.ts';
import { PicturePart } from './picture-entities.ts';

/** A file that is to be kept, and what it is. */
interface FileToKeep {
  readonly content: string;
  readonly file: string;
  readonly size: number;
  readonly mediaType: string;
}

/** Where the bytes of pictures lie: in the database, or in a store beside it. */
export interface PictureBytes {
  /** In the transaction that makes the content's row. */
  write(manager: EntityManager, file: FileToKeep): Promise<void>;
  read(content: string): Readable;
  /** Lets go of bytes whose row is gone; rows take those in the database along. */
  remove(content: string): Promise<void>;
}

/** Bytes of a part: what is read and sent at a time. */
const PART = 512 * 1024;

/** In the database, part by part, so that no more than a part is held. */
export function bytesInDatabase(source: DataSource): PictureBytes {
  async function* parts(content: string): AsyncGenerator<Buffer> {
    for (let part = 0; ; part++) {
      const row = await source.getRepository(PicturePart).findOneBy({ content, part });
      if (!row) return;
      yield row.bytes;
    }
  }
  return {
    async write(manager, { content, file }) {
      const handle = await open(file);
      try {
        for (let part = 0; ; part++) {
          const bytes = Buffer.alloc(PART);
          const { bytesRead } = await handle.read(bytes, 0, PART, part * PART);
          if (!bytesRead) return;
          await manager
            .getRepository(PicturePart)
            .insert({ content, part, bytes: bytes.subarray(0, bytesRead) });
        }
      } finally {
        await handle.close();
      }
    },
    read: (content) => Readable.from(parts(content), { objectMode: false }),
    remove: async () => {},
  };
}

/**
 * In a bucket. A row is there only once its bytes are, and bytes go only after their row has: what is left over when a
 * process ends in between is bytes without a row, which the same picture fills again or the next clearing lets go of.
 */
export const bytesInBucket = (bucket: BucketStore): PictureBytes => ({
  write: (_, { content, file, size, mediaType }) => bucket.put(content, file, size, mediaType),
  read: (content) => bucket.read(content),
  remove: (content) => bucket.remove(content),
});
