import { emptyDocument } from '@mint-lamp/core/document/document';
import { NEW_THEMES } from '@mint-lamp/core/document/themes/new-themes';
import type { Access } from '@mint-lamp/core/wire/access';
import type { ListedTeam, SentInvitation, Team, TeamList } from '@mint-lamp/core/wire/people';
import { access, email, teamName } from '@mint-lamp/core/wire/people-schema';
import type { LoadedProject } from '@mint-lamp/core/wire/projects';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import type { TeamFault } from '../database/people/team-store.ts';
import { ApiError } from '../errors.ts';
import { sendInvitation } from '../letters/send-invitation.ts';
import { countAttempt, LETTERS } from '../people/attempts.ts';
import { createBody, params, uuid } from '../projects/schemas.ts';

const nameBody = Joi.object({ name: teamName }).required();
const accessBody = Joi.object({ access }).required();
const inviteBody = Joi.object({ email, access }).required();
const ofMember = Joi.object({ id: uuid, person: uuid });
const ofInvitation = Joi.object({ id: uuid, invitation: uuid });

/** People of one team, invitations counted, at most. */
const MOST_PEOPLE = 500;

interface OfTeam {
  Params: { id: string };
}
interface OfMember {
  Params: { id: string; person: string };
}
interface OfInvitation {
  Params: { id: string; invitation: string };
}

function refusal(fault: TeamFault): ApiError {
  switch (fault) {
    case 'not there':
      return new ApiError('NOT_FOUND', 'There is no such person in the team.', 'params.person');
    case 'last owner':
      return new ApiError('LAST_OWNER', 'A team has an owner: make somebody else one first.');
    case 'has projects':
      return new ApiError(
        'NOT_EMPTY',
        'The team has projects, perhaps among those that were removed: move them elsewhere or let go of them first.',
      );
  }
}

/** `/api/teams`: teams, who is in them and what they may, and invitations to them. */
export async function teamRoutes(app: FastifyInstance): Promise<void> {
  const { teams, invitations, attempts, projects } = app;
  const of = async (request: FastifyRequest<OfTeam>): Promise<Team> => {
    const { id } = request.params;
    return {
      id,
      name: await teams.nameOf(id),
      access: request.access!,
      members: await teams.members(id),
      invitations: request.access === 'owner' ? await invitations.list(id) : [],
    };
  };

  app.get(
    '/',
    needs('person'),
    async ({ personId }): Promise<TeamList> => ({
      teams: await teams.list(personId),
    }),
  );

  app.post<{ Body: { name: string } }>(
    '/',
    { ...needs('person'), schema: { body: nameBody } },
    async ({ personId, body: { name } }, reply) => {
      const id = await teams.make(personId, name);
      const made: ListedTeam = { id, name, access: 'owner', people: 1, projects: 0 };
      return reply.code(201).send(made);
    },
  );

  app.get<OfTeam>('/:id', { ...needs({ team: 'look' }), schema: { params } }, of);

  app.put<OfTeam & { Body: { name: string } }>(
    '/:id',
    { ...needs({ team: 'own' }), schema: { params, body: nameBody } },
    async ({ params: { id }, body }, reply) => {
      await teams.rename(id, body.name);
      return reply.code(204).send();
    },
  );

  app.delete<OfTeam>(
    '/:id',
    { ...needs({ team: 'own' }), schema: { params } },
    async ({ params: { id } }, reply) => {
      const fault = await teams.remove(id);
      if (fault) throw refusal(fault);
      return reply.code(204).send();
    },
  );

  app.post<OfTeam & { Body: { name: string } }>(
    '/:id/projects',
    { ...needs({ team: 'edit' }), schema: { params, body: createBody } },
    async ({ params: { id }, body, access: own }, reply): Promise<LoadedProject> => {
      const made = await projects.create(id, emptyDocument(body.name.trim(), NEW_THEMES));
      return reply.code(201).send({ ...made, access: own! });
    },
  );

  app.put<OfMember & { Body: { access: Access } }>(
    '/:id/members/:person',
    { ...needs({ team: 'own' }), schema: { params: ofMember, body: accessBody } },
    async ({ params: { id, person }, body }, reply) => {
      const fault = await teams.setAccess(id, person, body.access);
      if (fault) throw refusal(fault);
      return reply.code(204).send();
    },
  );

  app.delete<OfMember>(
    '/:id/members/:person',
    { ...needs({ team: 'own' }), schema: { params: ofMember } },
    async ({ params: { id, person } }, reply) => {
      const fault = await teams.removeMember(id, person);
      if (fault) throw refusal(fault);
      return reply.code(204).send();
    },
  );

  // Leaving is everybody's own.
  app.post<OfTeam>(
    '/:id/leave',
    { ...needs({ team: 'look' }), schema: { params } },
    async ({ params: { id }, personId }, reply) => {
      const fault = await teams.removeMember(id, personId);
      if (fault) throw refusal(fault);
      return reply.code(204).send();
    },
  );

  app.post<OfTeam & { Body: { email: string; access: Access } }>(
    '/:id/invitations',
    { ...needs({ team: 'own' }), schema: { params, body: inviteBody } },
    async ({ params: { id }, body, person, ip }, reply): Promise<SentInvitation> => {
      const members = await teams.members(id);
      if (members.some((member) => member.email === body.email))
        throw new ApiError('NAME_TAKEN', `${body.email} is in the team already.`, 'body.email');
      if (members.length + (await invitations.list(id)).length >= MOST_PEOPLE)
        throw new ApiError('TOO_MANY', `A team has at most ${MOST_PEOPLE} people.`);
      await countAttempt(attempts, 'invite', LETTERS, body.email, ip);
      const sent = await sendInvitation(app, { ...body, team: id, from: person!, administrator: false });
      return reply.code(201).send(sent);
    },
  );

  app.post<OfInvitation>(
    '/:id/invitations/:invitation/again',
    { ...needs({ team: 'own' }), schema: { params: ofInvitation } },
    async ({ params: { id, invitation }, person, ip }): Promise<SentInvitation> => {
      const sent = (await invitations.list(id)).find((one) => one.id === invitation);
      if (!sent)
        throw new ApiError('NOT_FOUND', 'There is no such invitation any more.', 'params.invitation');
      await countAttempt(attempts, 'invite', LETTERS, sent.email, ip);
      return sendInvitation(app, {
        email: sent.email,
        access: sent.access,
        team: id,
        from: person!,
        administrator: false,
      });
    },
  );

  app.delete<OfInvitation>(
    '/:id/invitations/:invitation',
    { ...needs({ team: 'own' }), schema: { params: ofInvitation } },
    async ({ params: { id, invitation } }, reply) => {
      if (!(await invitations.withdraw(id, invitation)))
        throw new ApiError('NOT_FOUND', 'There is no such invitation any more.', 'params.invitation');
      return reply.code(204).send();
    },
  );
}
