import type { Me } from '@mint-lamp/core/wire/people';
import { code, email, passphrase, token } from '@mint-lamp/core/wire/people-schema';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { hashOf, newToken } from '../access/token.ts';
import { ApiError } from '../errors.ts';
import { changedLetter, resetLetter } from '../letters/texts.ts';
import { countAttempt, countSecretAddress, forgetAttempts, LETTERS, SIGN_IN } from './attempts.ts';
import { checkFactor } from './check-factor.ts';
import { hashPassphrase, isPassphrase } from './passphrase.ts';
import { refuseWeak } from './weak-passphrase.ts';

const signInBody = Joi.object({ email, passphrase, code }).required();
const resetBody = Joi.object({ email }).required();
const setBody = Joi.object({ token, passphrase }).required();

/** For how long an address works by which a forgotten passphrase is set anew. */
const RESET_MINUTES = 30;

const wrong = () =>
  new ApiError('WRONG_SIGN_IN', 'E-mail address, passphrase or code are not right.', 'body');

/** Begins a session of somebody in the browser that asks; the one that it came with ends. */
export async function beginSession(
  app: FastifyInstance,
  request: FastifyRequest,
  reply: FastifyReply,
  person: string,
): Promise<void> {
  const before = app.sessionCookie.read(request);
  const agent = request.headers['user-agent'] ?? '';
  await app.sessions.begin(person, app.sessionCookie.give(reply), agent, before);
}

/** `/api/me`, `/api/sign-in`, `/api/sign-out` and `/api/passphrase`: who asks, coming in, going, and a passphrase forgotten. */
export async function signInRoutes(app: FastifyInstance): Promise<void> {
  const { people, sessions, resets, attempts, letters, peopleOptions } = app;

  app.get(
    '/me',
    needs('anyone'),
    async ({ person }): Promise<Me> => ({
      person,
      local: peopleOptions.local,
      mailbox: letters.here && (person?.administrator ?? false),
    }),
  );

  app.post<{ Body: { email: string; passphrase: string; code?: string } }>(
    '/sign-in',
    { ...needs('anyone'), schema: { body: signInBody } },
    async (request, reply) => {
      const { body, ip } = request;
      await countAttempt(attempts, 'sign-in', SIGN_IN, body.email, ip);
      const found = await people.credentials(body.email);
      const right = await isPassphrase(found?.passphrase ?? null, body.passphrase);
      if (!found || !right) throw wrong();
      if (found.factor) {
        if (!body.code)
          throw new ApiError('FACTOR_NEEDED', 'Type the code of your second factor too.', 'body.code');
        if (!(await checkFactor(app, found, body.code))) throw wrong();
      }
      await forgetAttempts(attempts, 'sign-in', body.email, ip);
      await beginSession(app, request, reply, found.id);
      return reply.code(204).send();
    },
  );

  app.post('/sign-out', needs('anyone'), async (request, reply) => {
    const held = app.sessionCookie.read(request);
    if (held) await sessions.end(held);
    app.sessionCookie.take(reply);
    return reply.code(204).send();
  });

  app.post<{ Body: { email: string } }>(
    '/passphrase/forgotten',
    { ...needs('anyone'), schema: { body: resetBody } },
    async ({ body, ip, log }, reply) => {
      await countAttempt(attempts, 'reset', LETTERS, body.email, ip);
      const secret = newToken();
      // After the answer, which takes as long for those who are not there.
      reply.raw.once('finish', () => {
        const sent = async () => {
          const person = await resets.begin(body.email, hashOf(secret), RESET_MINUTES);
          if (!person) return;
          const { publicAddress } = peopleOptions;
          await letters.send(resetLetter(body.email, person.name, publicAddress, secret, RESET_MINUTES));
        };
        sent().catch((error: unknown) => log.error(error));
      });
      return reply.code(204).send();
    },
  );

  app.post<{ Body: { token: string; passphrase: string } }>(
    '/passphrase/new',
    { ...needs('anyone'), schema: { body: setBody } },
    async ({ body, ip }, reply) => {
      await countSecretAddress(attempts, ip);
      const over = () =>
        new ApiError('NOT_FOUND', 'This link no longer works. Ask for a new one.', 'body.token');
      const key = hashOf(body.token);
      const person = await resets.whose(key);
      if (!person) throw over();
      refuseWeak(body.passphrase, [person.email, person.name]);
      if (!(await resets.use(key, await hashPassphrase(body.passphrase)))) throw over();
      await letters.send(changedLetter(person.email, person.name, 'a new passphrase was set'));
      return reply.code(204).send();
    },
  );
}
