import { EXCEPTIONS, type ExceptionAccess, mayDo } from '@mint-lamp/core/wire/access';
import type { History, PeopleOnProject } from '@mint-lamp/core/wire/people';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { params, revision, uuid } from './schemas.ts';

const ofPerson = Joi.object({ id: uuid, person: uuid });
const exceptBody = Joi.object({ access: Joi.valid(...EXCEPTIONS, null).required() }).required();
const giveBody = Joi.object({ team: uuid.allow(null) }).required();
const historyQuery = Joi.object({ before: revision.optional() });

interface OfOne {
  Params: { id: string };
}
interface OfPerson {
  Params: { id: string; person: string };
}

/** `/api/projects/:id/people` and beside it: who may see a project, what some may on it otherwise, whose it is, who did what. */
export async function projectPeopleRoutes(app: FastifyInstance): Promise<void> {
  const { teams, door, history } = app;

  app.get<OfOne>(
    '/:id/people',
    { ...needs({ project: 'look' }), schema: { params } },
    async ({ params: { id } }): Promise<PeopleOnProject> => teams.onProject(id),
  );

  app.put<OfPerson & { Body: { access: ExceptionAccess | null } }>(
    '/:id/people/:person',
    { ...needs({ project: 'own' }), schema: { params: ofPerson, body: exceptBody } },
    async ({ params: { id, person }, body }, reply) => {
      if (!(await teams.except(id, person, body.access)))
        throw new ApiError(
          'NOT_FOUND',
          'Only who is in the project’s team, and does not own it, may something else on one project.',
          'params.person',
        );
      return reply.code(204).send();
    },
  );

  app.put<OfOne & { Body: { team: string | null } }>(
    '/:id/owner',
    { ...needs({ project: 'own' }), schema: { params, body: giveBody } },
    async ({ params: { id }, body: { team }, personId }, reply) => {
      // Of the team it is given to one has to be somebody who could begin it there.
      if (team !== null && !mayDo(await door.toTeam(personId, team), 'edit'))
        throw new ApiError('NOT_FOUND', 'There is no such team that you may give projects to.', 'body.team');
      await teams.give(id, team ?? personId);
      return reply.code(204).send();
    },
  );

  app.get<OfOne & { Querystring: { before?: number } }>(
    '/:id/history',
    { ...needs({ project: 'look' }), schema: { params, querystring: historyQuery } },
    async ({ params: { id }, query }): Promise<History> => history.page(id, query.before ?? null),
  );
}
