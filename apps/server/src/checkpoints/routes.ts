import { name } from '@mint-lamp/core/document/schema/parts';
import {
  type Checkpoint,
  type CheckpointList,
  type LoadedCheckpoint,
  MOST_CHECKPOINTS,
} from '@mint-lamp/core/wire/checkpoints';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import type { CheckpointFault } from '../database/checkpoint-store.ts';
import { ApiError } from '../errors.ts';
import { params, revision, uuid } from '../projects/schemas.ts';
import { sameSchemaVersion } from '../schema-version/schema-version.ts';

const saveBody = Joi.object({
  name: name.required(),
  revision,
  // When it was saved elsewhere, where the project comes from a file.
  at: Joi.string().isoDate(),
}).required();
const renameBody = Joi.object({ name: name.required() }).required();
const ofOne = Joi.object({ id: uuid, checkpoint: uuid });

interface OfProject {
  Params: { id: string };
}
interface OfOne {
  Params: { id: string; checkpoint: string };
}

function refusal(fault: CheckpointFault, wanted: string): ApiError {
  switch (fault) {
    case 'no project':
      return new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
    case 'no checkpoint':
      return new ApiError('NOT_FOUND', 'There is no such checkpoint any more.', 'params.checkpoint');
    case 'ahead':
      return new ApiError('REVISION_AHEAD', 'The project has not come to this revision.', 'body.revision');
    case 'taken':
      return new ApiError(
        'NAME_TAKEN',
        `There is a checkpoint named "${wanted}" already; choose another name.`,
        'body.name',
      );
    case 'full':
      return new ApiError(
        'BAD_REQUEST',
        `A project holds at most ${MOST_CHECKPOINTS} checkpoints; remove one first.`,
        '',
      );
  }
}

/** `/api/projects/:id/checkpoints`: save the present state under a name, read, rename and remove such states. */
export async function checkpointRoutes(app: FastifyInstance): Promise<void> {
  const { checkpoints } = app;

  app.get<OfProject>(
    '/',
    { ...needs({ project: 'look' }), schema: { params } },
    async ({ params: { id } }): Promise<CheckpointList> => {
      const list = await checkpoints.list(id);
      if (!list) throw refusal('no project', '');
      return { checkpoints: list };
    },
  );

  app.post<OfProject & { Body: { name: string; revision: number; at?: string } }>(
    '/',
    { ...needs({ project: 'edit' }), schema: { params, body: saveBody } },
    async ({ personId, params: { id }, body }, reply) => {
      const saved = await checkpoints.save(
        personId,
        id,
        body.revision,
        body.name,
        body.at === undefined ? undefined : new Date(body.at),
      );
      if (typeof saved === 'string') throw refusal(saved, body.name);
      return reply.code(201).send(saved);
    },
  );

  app.get<OfOne>(
    '/:checkpoint',
    { ...needs({ project: 'look' }), schema: { params: ofOne }, onRequest: sameSchemaVersion },
    async ({ params: { id, checkpoint } }): Promise<LoadedCheckpoint> => {
      const loaded = await checkpoints.find(id, checkpoint);
      if (!loaded) throw refusal('no checkpoint', '');
      return loaded;
    },
  );

  app.put<OfOne & { Body: { name: string } }>(
    '/:checkpoint',
    { ...needs({ project: 'edit' }), schema: { params: ofOne, body: renameBody } },
    async ({ params: { id, checkpoint }, body }): Promise<Checkpoint> => {
      const renamed = await checkpoints.rename(id, checkpoint, body.name);
      if (typeof renamed === 'string') throw refusal(renamed, body.name);
      return renamed;
    },
  );

  app.delete<OfOne>(
    '/:checkpoint',
    { ...needs({ project: 'edit' }), schema: { params: ofOne } },
    async ({ params: { id, checkpoint } }, reply) => {
      if (!(await checkpoints.remove(id, checkpoint))) throw refusal('no checkpoint', '');
      return reply.code(204).send();
    },
  );
}
