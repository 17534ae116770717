import { Readable } from 'node:stream';
import type { Account, FactorBegun, RecoveryCodes, SessionSeen } from '@mint-lamp/core/wire/people';
import { code, passphrase, personName } from '@mint-lamp/core/wire/people-schema';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { ApiError } from '../errors.ts';
import { changedLetter } from '../letters/texts.ts';
import { params } from '../projects/schemas.ts';
import { accountData } from './account-data.ts';
import { countAttempt, forgetAttempts, SIGN_IN } from './attempts.ts';
import { checkFactor } from './check-factor.ts';
import { hashPassphrase, isPassphrase } from './passphrase.ts';
import { factorAddress, newFactor, newRecoveryCodes, recoveryHash, stepOfCode } from './second-factor.ts';
import { beginSession } from './sign-in-routes.ts';
import { refuseWeak } from './weak-passphrase.ts';

const nameBody = Joi.object({ name: personName }).required();
const changeBody = Joi.object({ present: passphrase, next: passphrase }).required();
const proofBody = Joi.object({ passphrase, code }).required();
const codeBody = Joi.object({ code: code.required() }).required();

interface Proof {
  readonly passphrase: string;
  readonly code?: string;
}

/** `/api/account`: one's own name, passphrase, second factor and sessions, and leaving for good. */
export async function accountRoutes(app: FastifyInstance): Promise<void> {
  const { people, sessions, attempts, vault, letters } = app;

  /** What is hard to take back asks for the passphrase again, and for the second factor where there is one. */
  const prove = async (request: FastifyRequest, proof: Proof, path = 'body.passphrase') => {
    const { email } = request.person!;
    await countAttempt(attempts, 'sign-in', SIGN_IN, email, request.ip);
    const kept = await people.credentialsOf(request.personId);
    if (!kept || !(await isPassphrase(kept.passphrase, proof.passphrase)))
      throw new ApiError('WRONG_SIGN_IN', 'The passphrase is not right.', path);
    if (kept.factor) {
      if (!proof.code)
        throw new ApiError('FACTOR_NEEDED', 'Type the code of your second factor too.', 'body.code');
      if (!(await checkFactor(app, kept, proof.code)))
        throw new ApiError('WRONG_SIGN_IN', 'The code is not right, or was used already.', 'body.code');
    }
    await forgetAttempts(attempts, 'sign-in', email, request.ip);
  };
  const tell = async ({ person }: FastifyRequest, what: string) =>
    letters.send(changedLetter(person!.email, person!.name, what));
  const freshCodes = () => {
    const codes = newRecoveryCodes();
    return { codes, hashes: codes.map((one) => recoveryHash(one)!) };
  };

  app.get('/', needs('account'), async ({ personId }): Promise<Account> => people.account(personId));

  app.get('/data', { ...needs('account'), exposeHeadRoute: false }, async ({ personId }, reply) =>
    reply
      .type('application/zip')
      .header('content-disposition', 'attachment; filename="mint-lamp-account.zip"')
      .send(Readable.from(accountData(app, personId), { objectMode: false })),
  );

  app.put<{ Body: { name: string } }>(
    '/',
    { ...needs('account'), schema: { body: nameBody } },
    async ({ personId, body }, reply) => {
      await people.rename(personId, body.name);
      return reply.code(204).send();
    },
  );

  app.put<{ Body: { present: string; next: string } }>(
    '/passphrase',
    { ...needs('account'), schema: { body: changeBody } },
    async (request, reply) => {
      const { personId, body, person, session } = request;
      // Who is signed in has shown the second factor; the passphrase shows that it is not somebody at a desk left open.
      await countAttempt(attempts, 'sign-in', SIGN_IN, person!.email, request.ip);
      const kept = await people.credentialsOf(personId);
      if (!kept || !(await isPassphrase(kept.passphrase, body.present)))
        throw new ApiError('WRONG_SIGN_IN', 'The present passphrase is not right.', 'body.present');
      refuseWeak(body.next, [person!.email, person!.name], 'body.next');
      await people.setPassphrase(personId, await hashPassphrase(body.next));
      await forgetAttempts(attempts, 'sign-in', person!.email, request.ip);
      await sessions.endOthers(personId, session!);
      await beginSession(app, request, reply, personId);
      await tell(request, 'your passphrase was changed');
      return reply.code(204).send();
    },
  );

  app.get(
    '/sessions',
    needs('account'),
    async ({ personId, session }): Promise<{ sessions: SessionSeen[] }> => ({
      sessions: await sessions.list(personId, session!),
    }),
  );

  app.delete('/sessions', needs('account'), async ({ personId, session }, reply) => {
    await sessions.endOthers(personId, session!);
    return reply.code(204).send();
  });

  app.delete<{ Params: { id: string } }>(
    '/sessions/:id',
    { ...needs('account'), schema: { params } },
    async ({ personId, params: { id } }, reply) => {
      if (!(await sessions.endOne(personId, id)))
        throw new ApiError('NOT_FOUND', 'This session has ended already.', 'params.id');
      return reply.code(204).send();
    },
  );

  app.post<{ Body: Proof }>(
    '/second-factor',
    { ...needs('account'), schema: { body: proofBody } },
    async (request): Promise<FactorBegun> => {
      await prove(request, request.body);
      if ((await people.account(request.personId)).factorSince)
        throw new ApiError('NAME_TAKEN', 'A second factor is set up already; remove it first.', '');
      const secret = newFactor();
      await people.beginFactor(request.personId, vault.close(secret));
      return { secret, address: factorAddress(secret, request.person!.email) };
    },
  );

  app.put<{ Body: { code: string } }>(
    '/second-factor',
    { ...needs('account'), schema: { body: codeBody } },
    async (request): Promise<RecoveryCodes> => {
      const { personId, body, person, ip } = request;
      await countAttempt(attempts, 'sign-in', SIGN_IN, person!.email, ip);
      const begun = await people.begunFactor(personId);
      if (!begun) throw new ApiError('NOT_FOUND', 'No second factor is being set up.', '');
      const step = stepOfCode(vault.open(begun), body.code, Date.now());
      if (step === null)
        throw new ApiError(
          'WRONG_SIGN_IN',
          'The code is not right. Is the clock of the device that shows it?',
          'body.code',
        );
      const { codes, hashes } = freshCodes();
      await people.useFactor(personId, step, hashes);
      await sessions.endOthers(personId, request.session!);
      await tell(request, 'a second factor was set up');
      return { codes };
    },
  );

  app.delete<{ Body: Proof }>(
    '/second-factor',
    { ...needs('account'), schema: { body: proofBody } },
    async (request, reply) => {
      await prove(request, request.body);
      await people.dropFactor(request.personId);
      await tell(request, 'your second factor was removed');
      return reply.code(204).send();
    },
  );

  app.post<{ Body: Proof }>(
    '/recovery-codes',
    { ...needs('account'), schema: { body: proofBody } },
    async (request): Promise<RecoveryCodes> => {
      await prove(request, request.body);
      if (!(await people.account(request.personId)).factorSince)
        throw new ApiError('NOT_FOUND', 'There is no second factor that they would stand in for.', '');
      const { codes, hashes } = freshCodes();
      await people.setRecoveryCodes(request.personId, hashes);
      return { codes };
    },
  );

  app.delete<{ Body: Proof }>(
    '/',
    { ...needs('account'), schema: { body: proofBody } },
    async (request, reply) => {
      await prove(request, request.body);
      const fault = await people.leave(request.personId);
      if (fault === 'last administrator')
        throw new ApiError(
          'LAST_OWNER',
          'You are the last who looks after this server: make somebody else an administrator first.',
        );
      if (fault)
        throw new ApiError(
          'LAST_OWNER',
          `You are the last owner of ${fault.lastOwnerOf}: make somebody else an owner, or remove the team.`,
        );
      await app.pictures.forgetUnused();
      app.sessionCookie.take(reply);
      return reply.code(204).send();
    },
  );
}
