import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { Owner } from '../database/entities.ts';

/** The owner of everything until accounts come. */
export const LOCAL_OWNER = '00000000-0000-4000-8000-000000000001';

declare module 'fastify' {
  interface FastifyRequest {
    /** Whose projects this request sees. */
    ownerId: string;
  }
}

/** Makes sure that the local owner is there. */
export async function ensureLocalOwner(database: DataSource): Promise<void> {
  await database
    .createQueryBuilder()
    .insert()
    .into(Owner)
    .values({ id: LOCAL_OWNER, name: 'This computer' })
    .orIgnore()
    .execute();
}

/** Tells every request whose it is. */
export const owner = fp(async (app: FastifyInstance) => {
  app.decorateRequest('ownerId', LOCAL_OWNER);
});
