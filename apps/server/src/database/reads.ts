import type { FastifyInstance } from 'fastify';
import type { DataSource } from 'typeorm';
import type { BucketStore } from '../pictures/storing/bucket.ts';
import { isDatabaseAway } from './away.ts';
import { type CheckpointStore, checkpointStore } from './checkpoint-store.ts';
import { type HandOverStore, handOverStore } from './hand-over-store.ts';
import { type PictureStore, pictureStore } from './picture-store.ts';
import { type ProjectStore, projectStore } from './project-store.ts';

/** What files and reports are made from. */
export interface Reads {
  readonly projects: Pick<ProjectStore, 'find' | 'at' | 'madeAt'>;
  readonly checkpoints: Pick<CheckpointStore, 'find'>;
  readonly handOvers: Pick<HandOverStore, 'find'>;
  readonly pictures: Pick<PictureStore, 'find' | 'read'>;
}

/** Asks a replica, and the database itself for what is not there yet, or when the replica is away. */
function orElse<A extends readonly unknown[], T>(
  replica: (...asked: A) => Promise<T | null>,
  database: (...asked: A) => Promise<T | null>,
): (...asked: A) => Promise<T | null> {
  return async (...asked) => {
    try {
      const found = await replica(...asked);
      if (found !== null) return found;
    } catch (error) {
      if (!isDatabaseAway(error)) throw error;
    }
    return database(...asked);
  };
}

/**
 * Where files and reports are read from: a replica where there is one, which may be a moment behind; who may read is
 * always asked of the database itself. Bytes of pictures are read where they lie.
 */
export function readsOf(
  { projects, checkpoints, handOvers, pictures }: FastifyInstance,
  replica: DataSource | null,
  bucket: BucketStore | null,
): Reads {
  if (!replica) return { projects, checkpoints, handOvers, pictures };
  const copy = {
    projects: projectStore(replica),
    checkpoints: checkpointStore(replica),
    handOvers: handOverStore(replica),
    pictures: pictureStore(replica, bucket),
  };
  return {
    projects: {
      find: orElse(copy.projects.find, projects.find),
      at: orElse(copy.projects.at, projects.at),
      // Of a revision that was just read; the database itself knows it too.
      madeAt: projects.madeAt,
    },
    checkpoints: { find: orElse(copy.checkpoints.find, checkpoints.find) },
    handOvers: { find: orElse(copy.handOvers.find, handOvers.find) },
    pictures: { find: orElse(copy.pictures.find, pictures.find), read: pictures.read },
  };
}
