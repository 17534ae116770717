import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { type ChangeFeed, openChangeFeed } from './change-feed.ts';

declare module 'fastify' {
  interface FastifyInstance {
    /** What this process hears of changed projects, whichever process changed them. */
    changes: ChangeFeed;
  }
}

/** Listens to the database for as long as the server runs. */
export const live = fp(async (app: FastifyInstance, { database }: { database: DataSource }) => {
  const feed = openChangeFeed(database);
  app.decorate('changes', feed);
  app.addHook('onClose', () => feed.close());
});
