import { deliverySchemas } from '@mint-lamp/core/document/delivery/delivery-schema';
import { FORM_IDS } from '@mint-lamp/core/document/delivery/forms';
import { schemaParts } from '@mint-lamp/core/document/schema/toolbox';
import type { HandedWhat, HandOverList, LoadedHandOver } from '@mint-lamp/core/wire/hand-overs';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { params, revision, uuid } from '../projects/schemas.ts';
import { sameSchemaVersion } from '../schema-version/schema-version.ts';

const chosen = deliverySchemas(schemaParts).parts.delivery as Joi.ObjectSchema;
const keepBody = Joi.object({
  revision,
  forms: Joi.array()
    .items(Joi.valid(...FORM_IDS))
    .min(1)
    .max(FORM_IDS.length)
    .unique()
    .required(),
  choices: chosen.extract('choices').required(),
  leftOut: chosen.extract('leftOut').required(),
  file: Joi.string().min(1).max(200).required(),
}).required();
const ofOne = Joi.object({ id: uuid, handOver: uuid });

interface OfProject {
  Params: { id: string };
}
interface OfOne {
  Params: { id: string; handOver: string };
}

const noProject = () => new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
const gone = () => new ApiError('NOT_FOUND', 'There is no such hand-over any more.', 'params.handOver');

/** `/api/projects/:id/hand-overs`: what was delivered, in which form, when, of which revision. */
export async function handOverRoutes(app: FastifyInstance): Promise<void> {
  const { handOvers } = app;

  app.get<OfProject>(
    '/',
    { ...needs({ project: 'look' }), schema: { params } },
    async ({ params: { id } }): Promise<HandOverList> => {
      const list = await handOvers.list(id);
      if (!list) throw noProject();
      return { handOvers: list };
    },
  );

  app.post<OfProject & { Body: HandedWhat & { revision: number } }>(
    '/',
    { ...needs({ project: 'edit' }), schema: { params, body: keepBody } },
    async ({ personId, params: { id }, body: { revision: of, ...what } }, reply) => {
      const kept = await handOvers.keep(personId, id, of, what);
      if (kept === 'no project') throw noProject();
      if (kept === 'ahead')
        throw new ApiError('REVISION_AHEAD', 'The project has not come to this revision.', 'body.revision');
      return reply.code(201).send(kept);
    },
  );

  app.get<OfOne>(
    '/:handOver',
    { ...needs({ project: 'look' }), schema: { params: ofOne }, onRequest: sameSchemaVersion },
    async ({ params: { id, handOver } }): Promise<LoadedHandOver> => {
      const loaded = await handOvers.find(id, handOver);
      if (!loaded) throw gone();
      return loaded;
    },
  );

  app.delete<OfOne>(
    '/:handOver',
    { ...needs({ project: 'edit' }), schema: { params: ofOne } },
    async ({ params: { id, handOver } }, reply) => {
      if (!(await handOvers.remove(id, handOver))) throw gone();
      return reply.code(204).send();
    },
  );
}
