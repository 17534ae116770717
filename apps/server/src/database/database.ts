import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { type CheckpointStore, checkpointStore } from './checkpoint-store.ts';
import { type HandOverStore, handOverStore } from './hand-over-store.ts';
import { type PictureStore, pictureStore } from './picture-store.ts';
import { type ProjectStore, projectStore } from './project-store.ts';
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
  }
}

const answers = (source: DataSource): Promise<unknown> => source.query('SELECT 1');

/** Gives the areas their stores, and answers whether the database does. */
export const database = fp(async (app: FastifyInstance, { source }: { source: DataSource }) => {
  const projects = projectStore(source);
  app.decorate('projects', projects);
  app.decorate('removedProjects', removedProjects(source));
  app.decorate('pictures', pictureStore(source));
  app.decorate('shelf', shelfStore(source));
  app.decorate('checkpoints', checkpointStore(source));
  app.decorate('handOvers', handOverStore(source));
  app.addHook('onClose', () => projects.settled());
  app.get('/api/health', async () => {
    await answers(source);
    return { ok: true };
  });
});
