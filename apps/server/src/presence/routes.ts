import { MOST_AT, MOST_DID, MOST_HOLDS, type Whereabouts } from '@mint-lamp/core/wire/presence';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { params, uuid } from '../projects/schemas.ts';

const plain = (most: number) =>
  Joi.string()
    .max(most)
    .pattern(/^[^\0]*$/, 'text')
    .allow('');

const body = Joi.object({
  tab: uuid,
  at: plain(MOST_AT).required(),
  holds: plain(MOST_HOLDS).allow(null).required(),
  did: Joi.object({
    label: plain(MOST_DID).required(),
    edits: Joi.number().integer().min(0).required(),
  })
    .allow(null)
    .required(),
  asks: Joi.boolean().required(),
  leaves: Joi.boolean().required(),
}).required();

/** `/api/projects/:id/here`: where somebody is, told to whoever else has the project open. */
export async function presenceRoutes(app: FastifyInstance): Promise<void> {
  app.post<{ Params: { id: string }; Body: Whereabouts }>(
    '/here',
    { ...needs({ project: 'look' }), schema: { params, body } },
    async ({ params: { id }, body: whereabouts, person }, reply) => {
      const { id: personId, name } = person!;
      await app.tellHere({ project: id, here: { ...whereabouts, person: personId, name } });
      return reply.code(204).send();
    },
  );
}
