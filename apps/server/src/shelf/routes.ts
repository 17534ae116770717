import { opaqueColor } from '@mint-lamp/core/document/schema/parts';
import { newSetSchema } from '@mint-lamp/core/shelf/set-schema';
import { MOST_SET_CSS, type NewSet } from '@mint-lamp/core/shelf/shelf-set';
import { SHELF_ORDERS } from '@mint-lamp/core/wire/shelf';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import type { ShelfQuery } from '../database/shelf-store.ts';
import { ApiError } from '../errors.ts';
import { params } from '../projects/schemas.ts';

const query = Joi.object({
  words: Joi.string().trim().max(200).allow('').default(''),
  near: opaqueColor.default(null),
  order: Joi.valid(...SHELF_ORDERS).default('new'),
  only: Joi.valid('all', 'own', 'favourites').default('all'),
  after: Joi.string().max(100).default(null),
});
const favourBody = Joi.object({ on: Joi.boolean().required() }).required();

interface OfOne {
  Params: { id: string };
}

function found(there: boolean): void {
  if (!there) throw new ApiError('NOT_FOUND', 'There is no such set on the shelf.', 'params.id');
}

/** `/api/shelf`: browse, publish, favour, take back. */
export async function shelfRoutes(app: FastifyInstance): Promise<void> {
  const { shelf } = app;

  app.get<{ Querystring: ShelfQuery }>(
    '/',
    { schema: { querystring: query } },
    async ({ ownerId, query: asked }) => shelf.list(ownerId, asked),
  );

  app.post<{ Body: NewSet }>(
    '/',
    { schema: { body: newSetSchema }, bodyLimit: MOST_SET_CSS * 2 },
    async ({ ownerId, body }, reply) => reply.code(201).send(await shelf.publish(ownerId, body)),
  );

  app.delete<OfOne>('/:id', { schema: { params } }, async ({ ownerId, params: { id } }, reply) => {
    found(await shelf.takeBack(ownerId, id));
    return reply.code(204).send();
  });

  app.put<OfOne & { Body: { on: boolean } }>(
    '/:id/favour',
    { schema: { params, body: favourBody } },
    async ({ ownerId, params: { id }, body }, reply) => {
      found(await shelf.favour(ownerId, id, body.on));
      return reply.code(204).send();
    },
  );

  app.post<OfOne>('/:id/adopted', { schema: { params } }, async ({ params: { id } }, reply) => {
    found(await shelf.adopted(id));
    return reply.code(204).send();
  });
}
