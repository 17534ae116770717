import type { SentInvitation, ServerPeople } from '@mint-lamp/core/wire/people';
import { email } from '@mint-lamp/core/wire/people-schema';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { sendInvitation } from '../letters/send-invitation.ts';
import { params } from '../projects/schemas.ts';
import { countAttempt, LETTERS } from './attempts.ts';

const inviteBody = Joi.object({ email, administrator: Joi.boolean().default(false) }).required();
const administratorBody = Joi.object({ administrator: Joi.boolean().required() }).required();

interface OfOne {
  Params: { id: string };
}

/** `/api/server`: the people of a server and invitations to it, for who looks after it. Of projects nothing is told. */
export async function serverRoutes(app: FastifyInstance): Promise<void> {
  const { people, invitations, attempts } = app;

  app.get(
    '/people',
    needs('administrator'),
    async (): Promise<ServerPeople> => ({
      people: await people.listAll(),
      invitations: await invitations.list(null),
    }),
  );

  app.put<OfOne & { Body: { administrator: boolean } }>(
    '/people/:id',
    { ...needs('administrator'), schema: { params, body: administratorBody } },
    async ({ params: { id }, body }, reply) => {
      const done = await people.setAdministrator(id, body.administrator);
      if (done === null) throw new ApiError('NOT_FOUND', 'There is no such person.', 'params.id');
      if (!done)
        throw new ApiError(
          'LAST_OWNER',
          'Somebody looks after a server: make somebody else an administrator first.',
        );
      return reply.code(204).send();
    },
  );

  app.post<{ Body: { email: string; administrator: boolean } }>(
    '/invitations',
    { ...needs('administrator'), schema: { body: inviteBody } },
    async ({ body, person, ip }, reply): Promise<SentInvitation> => {
      await countAttempt(attempts, 'invite', LETTERS, body.email, ip);
      const sent = await sendInvitation(app, { ...body, team: null, access: null, from: person! });
      return reply.code(201).send(sent);
    },
  );

  app.delete<OfOne>(
    '/invitations/:id',
    { ...needs('administrator'), schema: { params } },
    async ({ params: { id } }, reply) => {
      if (!(await invitations.withdraw(null, id)))
        throw new ApiError('NOT_FOUND', 'There is no such invitation any more.', 'params.id');
      return reply.code(204).send();
    },
  );
}
