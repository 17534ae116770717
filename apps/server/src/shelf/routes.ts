import { opaqueColor } from '@mint-lamp/core/document/schema/parts';
import { newSetSchema } from '@mint-lamp/core/shelf/set-schema';
import { MOST_SET_CSS, type NewSet } from '@mint-lamp/core/shelf/shelf-set';
import { mayDo } from '@mint-lamp/core/wire/access';
import { SHELF_ORDERS } from '@mint-lamp/core/wire/shelf';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import type { ShelfQuery } from '../database/shelf-store.ts';
import { ApiError } from '../errors.ts';
import { params, uuid } from '../projects/schemas.ts';

const query = Joi.object({
  words: Joi.string().trim().max(200).allow('').default(''),
  near: opaqueColor.default(null),
  order: Joi.valid(...SHELF_ORDERS).default('new'),
  only: Joi.valid('all', 'own', 'favourites').default('all'),
  team: uuid.optional().default(null),
  after: Joi.string().max(100).default(null),
});
const publishBody = newSetSchema.append({ team: uuid.allow(null).optional() });
const favourBody = Joi.object({ on: Joi.boolean().required() }).required();

interface OfOne {
  Params: { id: string };
}

function found(there: boolean): void {
  if (!there) throw new ApiError('NOT_FOUND', 'There is no such set on the shelf.', 'params.id');
}

/** `/api/shelf`: browse, publish, favour, take back. */
export async function shelfRoutes(app: FastifyInstance): Promise<void> {
  const { shelf, door } = app;

  app.get<{ Querystring: ShelfQuery }>(
    '/',
    { ...needs('person'), schema: { querystring: query } },
    async ({ person, query: asked }) => shelf.list(person!, asked),
  );

  app.post<{ Body: NewSet & { team?: string | null } }>(
    '/',
    { ...needs('person'), schema: { body: publishBody }, bodyLimit: MOST_SET_CSS * 2 },
    async ({ personId, body: { team = null, ...set } }, reply) => {
      if (team !== null && !mayDo(await door.toTeam(personId, team), 'edit'))
        throw new ApiError('NOT_FOUND', 'There is no such team that you may publish to.', 'body.team');
      return reply.code(201).send(await shelf.publish(personId, set, team));
    },
  );

  app.delete<OfOne>(
    '/:id',
    { ...needs('person'), schema: { params } },
    async ({ person, params: { id } }, reply) => {
      found(await shelf.takeBack(person!, id));
      return reply.code(204).send();
    },
  );

  app.put<OfOne & { Body: { on: boolean } }>(
    '/:id/favour',
    { ...needs('person'), schema: { params, body: favourBody } },
    async ({ personId, params: { id }, body }, reply) => {
      found(await shelf.favour(personId, id, body.on));
      return reply.code(204).send();
    },
  );

  app.post<OfOne>(
    '/:id/adopted',
    { ...needs('person'), schema: { params } },
    async ({ personId, params: { id } }, reply) => {
      found(await shelf.adopted(personId, id));
      return reply.code(204).send();
    },
  );
}
