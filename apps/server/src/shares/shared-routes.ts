import { randomUUID } from 'node:crypto';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Note, Said } from '@mint-lamp/core/document/notes/note';
import type { NoteCommand } from '@mint-lamp/core/document/notes/note-commands';
import { id as idSchema } from '@mint-lamp/core/document/schema/parts';
import { isSharedNoted } from '@mint-lamp/core/share/shared-document';
import { lastOfEach, presentOf } from '@mint-lamp/core/share/weighed-proposal';
import {
  newProposalSchema,
  sharedAnswerSchema,
  sharedNoteSchema,
  unlockSchema,
} from '@mint-lamp/core/wire/share-schema';
import type { NewProposal, SharedAnswer, SharedNote, SharedView } from '@mint-lamp/core/wire/shares';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import Joi from 'joi';
import { needs } from '../access/needs.ts';
import type { OpenShare } from '../database/share-store.ts';
import { ApiError } from '../errors.ts';
import { type Allowances, countAttempt } from '../people/attempts.ts';
import { isPassphrase } from '../people/passphrase.ts';
import { streamRevisions } from '../projects/events.ts';
import { Turns } from '../turns.ts';
import { previewPicture } from './preview-picture.ts';
import { shownBy, wholeOf } from './shown.ts';

const MINUTE = 60;
const HOUR = 60 * MINUTE;
const PASSPHRASES: Allowances = {
  both: { attempts: 10, seconds: 15 * MINUTE },
  person: { attempts: 100, seconds: HOUR },
  address: { attempts: 60, seconds: 15 * MINUTE },
};
const WORDS: Allowances = {
  both: { attempts: 60, seconds: HOUR },
  person: { attempts: 300, seconds: HOUR },
  address: { attempts: 200, seconds: HOUR },
};

const params = Joi.object({ token: Joi.string().required() });
const contentParams = params.append({
  content: Joi.string()
    .pattern(/^[\da-f]{64}$/, 'SHA-256 in hex')
    .required(),
});
const viewQuery = Joi.object({ again: Joi.boolean() });

const noteParams = params.append({ note: idSchema.required() });

interface OfShare {
  Params: { token: string };
}
interface OfNote {
  Params: { token: string; note: string };
}
interface OfContent {
  Params: { token: string; content: string };
}

const gone = () => new ApiError('NOT_FOUND', 'There is nothing at this address, or not any more.', '');
const nothingSaid = (message: string, path: string) => new ApiError('BAD_REQUEST', message, path);

/** `/api/shared/:token`: what whoever has a share sees, and what comes back from them. */
export async function sharedRoutes(app: FastifyInstance): Promise<void> {
  const { shares, shareDoor, attempts, projects, proposals, pictures, changes } = app;
  const shown = shownBy(app);
  const look = needs({ share: 'look' });

  app.addHook('onSend', async (_request, reply) => {
    reply.header('x-robots-tag', 'noindex, nofollow, noarchive');
  });

  /** What a share shows, of the revision that it is of, or of an earlier one. */
  const seen = async (share: OpenShare, revision?: number) => {
    const whole = await wholeOf(app, share, share.revision ?? revision ?? null);
    const part = whole && (await shown(share, whole));
    if (!whole || !part) throw gone();
    return { whole, part };
  };
  const documentOf = async (share: OpenShare, revision?: number) => {
    const { whole, part } = await seen(share, revision);
    if (!('document' in part)) throw gone();
    return { whole, document: part.document };
  };
  const counted = (request: FastifyRequest, what: string, allowances: Allowances) =>
    countAttempt(attempts, what, allowances, request.share.id, request.ip);

  app.post<OfShare & { Body: { passphrase: string } }>(
    '/unlock',
    { ...needs({ share: 'door' }), schema: { params, body: unlockSchema } },
    async (request, reply) => {
      const { share, body } = request;
      await counted(request, 'share', PASSPHRASES);
      if (share.passphrase !== null && !(await isPassphrase(share.passphrase, body.passphrase)))
        throw new ApiError(
          'SHARE_LOCKED',
          'This is another passphrase. Ask whoever sent the address.',
          'body',
        );
      shareDoor.giveKey(reply, request.params.token, share);
      return reply.code(204).send();
    },
  );

  app.get<OfShare & { Querystring: { again?: boolean } }>(
    '/',
    { ...look, schema: { params, querystring: viewQuery } },
    async ({ share, query }, reply): Promise<SharedView> => {
      const { whole, part } = await seen(share);
      const at = await projects.madeAt(share.projectId, whole.revision);
      // A page that goes on with the project was opened once.
      if (!query.again) await shares.countOpening(share.id);
      reply.header('cache-control', 'no-store');
      return {
        id: share.id,
        name: share.name,
        subject: share.subject,
        tries: share.tries,
        notes: share.notes,
        live: share.revision === null,
        revision: whole.revision,
        at: at.toISOString(),
        endsAt: share.endsAt.toISOString(),
        shown: part,
      };
    },
  );

  app.get<OfShare>(
    '/events',
    { ...look, schema: { params }, exposeHeadRoute: false },
    async (request, reply) => {
      const { share } = request;
      const { id, projectId, revision } = share;
      // What is frozen tells only that it is open.
      const revisionOf = () =>
        revision === null ? projects.revisionOf(projectId) : Promise.resolve(revision);
      const mayStill = () => shares.isOpen(id);
      const { onBegin } = app.ending;
      if (
        !(await streamRevisions(request, reply, changes, projectId, {
          revisionOf,
          mayStill,
          onEnding: onBegin,
          tellsAll: false,
        }))
      )
        throw gone();
    },
  );

  app.get<OfContent>(
    '/pictures/:content',
    { ...look, schema: { params: contentParams } },
    async ({ method, share, params: { content } }, reply) => {
      const { document } = await documentOf(share);
      const isShown = document.pictures.some((picture) => picture.content === content);
      const picture = isShown ? await pictures.find(share.projectId, content) : null;
      if (!picture) throw gone();
      return reply
        .header('content-type', picture.mediaType)
        .header('content-length', picture.size)
        .header('cache-control', 'private, max-age=3600')
        .header('content-security-policy', "default-src 'none'; sandbox")
        .send(method === 'HEAD' ? '' : pictures.read(content));
    },
  );

  // What a messenger shows of the address before anybody opens it.
  app.get<OfShare>('/preview.png', { ...look, schema: { params } }, async ({ share }, reply) => {
    const { part } = await seen(share);
    return reply
      .type('image/png')
      .header('cache-control', 'private, max-age=300')
      .send(await previewPicture(part));
  });

  /** Does what somebody who has a share says, as nobody who is signed in. */
  const say = async (share: OpenShare, revision: number, command: NoteCommand) => {
    const answer = await projects.commit({ id: null, access: 'editor' }, share.projectId, revision, [
      { id: randomUUID(), command },
    ]);
    const outcome = answer?.outcomes[0];
    if (!outcome) throw gone();
    if (outcome.status === 'refused') throw new ApiError('TOO_MANY', outcome.reason, 'body');
  };

  app.post<OfShare & { Body: SharedNote }>(
    '/notes',
    { ...needs({ share: 'note' }), schema: { params, body: sharedNoteSchema } },
    async (request, reply) => {
      const { share, body } = request;
      await counted(request, 'share note', WORDS);
      const { whole, document } = await documentOf(share);
      if (!isSharedNoted(document, share.subject, body.on))
        throw nothingSaid('What this note is on is not there any more.', 'body.on');
      const note: Note = {
        ...body,
        id: randomUUID(),
        at: Date.now(),
        settled: false,
        forClient: true,
        answers: [],
      };
      await say(share, whole.revision, { type: 'addNote', note });
      return reply.code(201).send(note);
    },
  );

  app.post<OfNote & { Body: SharedAnswer }>(
    '/notes/:note/answers',
    { ...needs({ share: 'note' }), schema: { params: noteParams, body: sharedAnswerSchema } },
    async (request, reply) => {
      const { share, body, params: of } = request;
      await counted(request, 'share note', WORDS);
      const { whole, document } = await documentOf(share);
      if (!document.notes.some(({ id }) => id === of.note)) throw gone();
      const answer: Said = { ...body, id: randomUUID(), at: Date.now() };
      await say(share, whole.revision, { type: 'answerNote', note: of.note, answer });
      return reply.code(201).send(answer);
    },
  );

  /** Whether all of a proposal fits what was shown, in turns, however much it is. */
  const checkFits = async (document: ProjectDocument, { commands }: NewProposal) => {
    const turns = new Turns();
    let next = document;
    for (const [i, command] of commands.entries()) {
      await turns.yieldTurn();
      const result = applyCommand(next, command);
      if (!result.ok) throw nothingSaid(result.reason, `body.commands.${i}`);
      next = result.document;
    }
  };

  app.post<OfShare & { Body: NewProposal }>(
    '/proposals',
    {
      ...needs({ share: 'try' }),
      schema: { params, body: newProposalSchema },
      bodyLimit: 1024 * 1024,
    },
    async (request, reply) => {
      const { share, body } = request;
      await counted(request, 'share proposal', WORDS);
      const { whole, document } = await documentOf(share, body.revision);
      await checkFits(document, body);
      const kept = await proposals.keep(share.projectId, {
        share: share.name,
        by: body.by,
        words: body.words,
        revision: whole.revision,
        parts: lastOfEach(body.commands).map((command) => ({
          command,
          then: presentOf(whole.document, command),
        })),
      });
      if (!kept) throw new ApiError('TOO_MANY', 'No more proposals are taken here at this time.', 'body');
      return reply.code(204).send();
    },
  );
}
