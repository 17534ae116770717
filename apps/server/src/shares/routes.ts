import { newShareSchema, shareChangeSchema } from '@mint-lamp/core/wire/share-schema';
import {
  type MadeShare,
  type NewShare,
  PROPOSAL_STATES,
  type ProposalList,
  type ProposalState,
  type Share,
  type ShareChange,
  type ShareList,
} from '@mint-lamp/core/wire/shares';
import type { FastifyInstance } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import { hashOf, newToken } from '../access/token.ts';
import { ApiError } from '../errors.ts';
import { hashPassphrase } from '../people/passphrase.ts';
import { params, uuid } from '../projects/schemas.ts';

interface OfProject {
  Params: { id: string };
}
interface OfShare {
  Params: { id: string; share: string };
}
interface OfProposal {
  Params: { id: string; proposal: string };
}

const ofShare = Joi.object({ id: uuid, share: uuid });
const ofProposal = Joi.object({ id: uuid, proposal: uuid });
const stateBody = Joi.object({ state: Joi.valid(...PROPOSAL_STATES).required() }).required();

function found<T>(what: string, path: string, thing: T | null | false): T {
  if (!thing) throw new ApiError('NOT_FOUND', `There is no such ${what} any more.`, path);
  return thing;
}
const share = <T>(thing: T | null | false) => found('share', 'params.share', thing);
const proposal = (thing: boolean) => found('proposal', 'params.proposal', thing);

/** `/api/projects/:id/shares` and `/proposals`: addresses that are given to people outside, and what comes back by them. */
export async function shareRoutes(app: FastifyInstance): Promise<void> {
  const { shares, proposals, shelf, projects } = app;
  const looks = { ...needs({ project: 'look' }), schema: { params } };
  const edits = needs({ project: 'edit' });

  app.get<OfProject>('/shares', looks, async ({ params: { id } }): Promise<ShareList> => {
    return { shares: await shares.list(id) };
  });

  app.post<OfProject & { Body: NewShare }>(
    '/shares',
    { ...edits, schema: { params, body: newShareSchema } },
    async ({ personId, params: { id }, body }, reply) => {
      const { subject, revision, passphrase } = body;
      if (subject.kind === 'set' && !(await shelf.sees(personId, subject.set)))
        throw new ApiError('NOT_FOUND', 'There is no such set on the shelf.', 'body.subject.set');
      if (revision !== null && revision > ((await projects.revisionOf(id)) ?? -1))
        throw new ApiError('REVISION_AHEAD', 'The project has not come to this revision.', 'body.revision');
      const token = newToken();
      const made = await shares.make(personId, id, hashOf(token), {
        ...body,
        passphrase: passphrase === null ? null : await hashPassphrase(passphrase),
      });
      if (!made)
        throw new ApiError(
          'TOO_MANY',
          'This project has 200 shares. Remove one that is not needed any more.',
        );
      const answer: MadeShare = { share: made, token };
      return reply.code(201).send(answer);
    },
  );

  app.put<OfShare & { Body: ShareChange }>(
    '/shares/:share',
    { ...edits, schema: { params: ofShare, body: shareChangeSchema } },
    async ({ params: of, body }): Promise<Share> => share(await shares.change(of.id, of.share, body)),
  );

  app.post<OfShare>(
    '/shares/:share/shut',
    { ...edits, schema: { params: ofShare } },
    async ({ params: of }): Promise<Share> => share(await shares.shut(of.id, of.share)),
  );

  app.post<OfShare>(
    '/shares/:share/address',
    { ...edits, schema: { params: ofShare } },
    async ({ params: of }): Promise<MadeShare> => {
      const token = newToken();
      return { share: share(await shares.readdress(of.id, of.share, hashOf(token))), token };
    },
  );

  app.delete<OfShare>(
    '/shares/:share',
    { ...edits, schema: { params: ofShare } },
    async ({ params: of }, reply) => {
      share(await shares.remove(of.id, of.share));
      return reply.code(204).send();
    },
  );

  app.get<OfProject>('/proposals', looks, async ({ params: { id } }): Promise<ProposalList> => {
    return { proposals: await proposals.list(id) };
  });

  app.put<OfProposal & { Body: { state: ProposalState } }>(
    '/proposals/:proposal',
    { ...edits, schema: { params: ofProposal, body: stateBody } },
    async ({ params: of, body }, reply) => {
      proposal(await proposals.setState(of.id, of.proposal, body.state));
      return reply.code(204).send();
    },
  );

  app.delete<OfProposal>(
    '/proposals/:proposal',
    { ...edits, schema: { params: ofProposal } },
    async ({ params: of }, reply) => {
      proposal(await proposals.remove(of.id, of.proposal));
      return reply.code(204).send();
    },
  );
}
