import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import type { BucketStore } from '../pictures/storing/bucket.ts';
import { type CheckpointStore, checkpointStore } from './checkpoint-store.ts';
import { type Dragged, tellDrag } from './drag-notices.ts';
import { type HandOverStore, handOverStore } from './hand-over-store.ts';
import { type HereInProject, tellHere } from './here-notices.ts';
import { type HistoryStore, historyStore } from './history-store.ts';
import { type MentionStore, mentionStore } from './mention-store.ts';
import { type PictureStore, pictureStore } from './picture-store.ts';
import { type ProjectStore, projectStore } from './project-store.ts';
import { type ProposalStore, proposalStore } from './proposal-store.ts';
import { type Reads, readsOf } from './reads.ts';
import { type RemovedProjects, removedProjects } from './removed-projects.ts';
import { type ShelfStore, shelfStore } from './shelf-store.ts';

declare module 'fastify' {
  interface FastifyInstance {
    projects: ProjectStore;
    removedProjects: RemovedProjects;
    pictures: PictureStore;
    shelf: ShelfStore;
    checkpoints: CheckpointStore;
    handOvers: HandOverStore;
    history: HistoryStore;
    proposals: ProposalStore;
    mentions: MentionStore;
    /** Tells every process what somebody drags. */
    tellDrag(dragged: Dragged): Promise<void>;
    /** Tells every process who is where. */
    tellHere(here: HereInProject): Promise<unknown>;
    reads: Reads;
  }
}

/** Resolves when the database answers. */
export const answers = (source: DataSource): Promise<unknown> => source.query('SELECT 1');

export interface DatabaseOptions {
  readonly source: DataSource;
  /** A copy of it that only reads are asked of; null where there is none. */
  readonly replica: DataSource | null;
  /** Where the bytes of pictures lie; null for the database. */
  readonly bucket: BucketStore | null;
}

/** Gives the areas their stores. */
export const database = fp(async (app: FastifyInstance, { source, replica, bucket }: DatabaseOptions) => {
  const projects = projectStore(source);
  app.decorate('projects', projects);
  app.decorate('removedProjects', removedProjects(source));
  app.decorate('pictures', pictureStore(source, bucket));
  app.decorate('shelf', shelfStore(source));
  app.decorate('checkpoints', checkpointStore(source));
  app.decorate('handOvers', handOverStore(source));
  app.decorate('history', historyStore(source));
  app.decorate('proposals', proposalStore(source));
  app.decorate('mentions', mentionStore(source));
  app.decorate('tellDrag', (dragged) => tellDrag(source, dragged));
  app.decorate('tellHere', (here) => tellHere(source, here));
  app.decorate('reads', readsOf(app, replica, bucket));
  app.addHook('onClose', () => projects.settled());
});
