import type { InvitationSeen } from '@mint-lamp/core/wire/people';
import { email, passphrase, personName, token } from '@mint-lamp/core/wire/people-schema';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { hashOf } from '../access/token.ts';
import { letIn } from '../database/people/invitation-store.ts';
import { ApiError } from '../errors.ts';
import { countSecretAddress } from './attempts.ts';
import { hashPassphrase } from './passphrase.ts';
import { beginSession } from './sign-in-routes.ts';
import { refuseWeak } from './weak-passphrase.ts';

const lookBody = Joi.object({ token }).required();
/** `email` is said by the first person of a server alone; others were invited by theirs. */
const takeBody = Joi.object({
  token,
  name: personName.optional(),
  passphrase: passphrase.optional(),
  email: email.optional(),
})
  .and('name', 'passphrase')
  .required();

interface Take {
  readonly token: string;
  readonly name?: string;
  readonly passphrase?: string;
  readonly email?: string;
}

const over = () =>
  new ApiError(
    'NOT_FOUND',
    'This invitation no longer works: it was used, withdrawn, or has expired. Ask for a new one.',
    'body.token',
  );

/** `/api/invitation`: what an invitation says, and taking it: as a new person, or as one who is signed in. */
export async function invitationRoutes(app: FastifyInstance): Promise<void> {
  const { invitations, people, attempts } = app;

  app.post<{ Body: { token: string } }>(
    '/look',
    { ...needs('anyone'), schema: { body: lookBody } },
    async ({ body, ip }): Promise<InvitationSeen> => {
      await countSecretAddress(attempts, ip);
      const seen = await invitations.look(hashOf(body.token));
      if (!seen) throw over();
      return seen;
    },
  );

  app.post<{ Body: Take }>(
    '/take',
    { ...needs('anyone'), schema: { body: takeBody } },
    async (request, reply) => {
      const { body, ip, person, session } = request;
      await countSecretAddress(attempts, ip);
      const key = hashOf(body.token);
      const seen = await invitations.look(key);
      if (!seen) throw over();
      if (body.name === undefined || body.passphrase === undefined) {
        // One who is here already joins as who they are, and nobody else in their place.
        if (!person || !session || person.email !== seen.email)
          throw new ApiError(
            'NOT_SIGNED_IN',
            `Sign in as ${seen.email ?? 'yourself'} to take this invitation.`,
          );
        const taken = await invitations.take(key, async (manager, one) => {
          await letIn(manager, person.id, one);
          return true;
        });
        if (!taken) throw over();
        return reply.code(204).send();
      }
      const address = seen.email ?? body.email;
      if (address === undefined) throw new ApiError('BAD_REQUEST', 'Say your e-mail address.', 'body.email');
      const { name } = body;
      refuseWeak(body.passphrase, [address, name]);
      const hash = await hashPassphrase(body.passphrase);
      const made = await invitations.take(key, async (manager, one) => {
        const id = await people.make(manager, {
          email: address,
          name,
          passphrase: hash,
          administrator: one.administrator,
        });
        // Who has an account with this address is asked to sign in; the invitation stays.
        if (id === null)
          throw new ApiError('NOT_SIGNED_IN', `There is an account of ${address} already: sign in with it.`);
        await letIn(manager, id, one);
        return id;
      });
      if (made === null) throw over();
      await beginSession(app, request, reply, made);
      return reply.code(204).send();
    },
  );
}
