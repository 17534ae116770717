import { createHash } from 'node:crypto';
import { commandSchema } from '@mint-lamp/core/document/commands/command-schema';
import type { FastifyInstance, FastifyReply } from 'fastify';
import Joi from 'joi';
import { LRUCache } from 'lru-cache';
import { needs } from '../access/needs.ts';
import type { Dragged } from '../database/drag-notices.ts';
import { FOLLOWED_S, type OpenShare } from '../database/share-store.ts';
import { ApiError } from '../errors.ts';
import { params as projectParams, revision } from '../projects/schemas.ts';
import { FOLLOW_SCRIPT } from './follow-script.ts';
import { FollowedSheet, type Sheet, sheetOf, type Told } from './live-css.ts';
import { wholeOf } from './shown.ts';

const params = Joi.object({ token: Joi.string().required() });
const dragBody = Joi.object({ revision, command: commandSchema.allow(null) }).required();

interface OfShare {
  Params: { token: string };
}

/** Those who follow one project in this process. */
interface Followers {
  readonly followed: FollowedSheet;
  readonly tell: Set<(told: Told) => void>;
  readonly leave: () => void;
}

const MOST_FOLLOWERS = 5000;
const MOST_REMEMBERED_BYTES = 16 * 1024 * 1024;
const KEEP_ALIVE_MS = 20_000;

const gone = () => new ApiError('NOT_FOUND', 'There is nothing at this address, or not any more.', '');

/** Read by a page of any origin; the address is the secret. */
const readByAll = (reply: FastifyReply) =>
  reply
    .header('access-control-allow-origin', '*')
    .header('cross-origin-resource-policy', 'cross-origin')
    .header('x-robots-tag', 'noindex, nofollow, noarchive');

const tagOf = (css: string) => `"${createHash('sha256').update(css).digest('base64url').slice(0, 22)}"`;

/**
 * `/api/shared/:token/colours.css`, `/follow.js`, `/changes`: the project's style sheet as it is, the script by which a page
 * goes on with it, and what that listens to.
 */
export async function liveCssRoutes(app: FastifyInstance): Promise<void> {
  const { shares, changes, reads, log } = app;
  const look = { ...needs({ share: 'css' }), schema: { params } };
  const sheets = new LRUCache<string, Sheet>({
    maxSize: MOST_REMEMBERED_BYTES,
    // A document is about as large as what is written of it.
    sizeCalculation: ({ css }) => 4 * css.length,
  });
  const followed = new Map<string, Promise<Followers>>();

  /** The sheet that a share shows, worked out once for all who ask. */
  const sheetFor = async (share: OpenShare): Promise<Sheet> => {
    const whole = await wholeOf(app, share);
    if (!whole) throw gone();
    const key = `${share.projectId} ${share.revision ?? 'now'}`;
    const known = sheets.get(key);
    if (known?.revision === whole.revision) return known;
    const sheet = sheetOf(whole.document, whole.revision, known);
    sheets.set(key, sheet);
    return sheet;
  };

  app.get<OfShare>('/colours.css', look, async (request, reply) => {
    const { css } = await sheetFor(request.share);
    const tag = tagOf(css);
    readByAll(reply).header('etag', tag).header('cache-control', 'public, no-cache');
    const known = request.headers['if-none-match'];
    if (known?.split(',').some((one) => one.trim() === tag)) return reply.code(304).send();
    return reply.type('text/css; charset=utf-8').send(css);
  });

  app.get<OfShare>('/follow.js', look, async (_request, reply) =>
    readByAll(reply)
      .type('text/javascript; charset=utf-8')
      .header('cache-control', 'public, max-age=300')
      .send(FOLLOW_SCRIPT),
  );

  const begin = async (share: OpenShare): Promise<Followers> => {
    const { projectId } = share;
    const tell = new Set<(told: Told) => void>();
    const followers = new FollowedSheet(await sheetFor(share), {
      present: () => reads.projects.find(projectId),
      tell: (told) => {
        for (const one of tell) one(told);
      },
      fail: (error) => log.warn(error),
    });
    const leaves = [
      changes.subscribe(projectId, () => followers.changed()),
      changes.onDrag(projectId, (dragged) => followers.dragged(dragged)),
    ];
    // What changed while it was read.
    followers.changed();
    return {
      followed: followers,
      tell,
      leave() {
        for (const leave of leaves) leave();
        followers.end();
        followed.delete(projectId);
      },
    };
  };
  const followersOf = (share: OpenShare): Promise<Followers> => {
    let known = followed.get(share.projectId);
    if (!known) {
      known = begin(share);
      followed.set(share.projectId, known);
      known.catch(() => followed.delete(share.projectId));
    }
    return known;
  };

  app.get<OfShare>('/changes', { ...look, exposeHeadRoute: false }, async (request, reply) => {
    const { share } = request;
    const { raw } = reply;
    // What is frozen is told once.
    const frozen = share.revision === null ? null : await sheetFor(share);
    const followers = frozen ? null : await followersOf(share);
    if ((followers?.tell.size ?? 0) >= MOST_FOLLOWERS)
      throw new ApiError('BUSY', 'Too many follow this style sheet at this moment. Try again shortly.');
    reply.hijack();
    raw.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'access-control-allow-origin': '*',
    });
    let behind = false;
    const write = (told: Told) => {
      // Who is slow is not told of each moment, and has all of it once they are back.
      if (raw.writableNeedDrain) behind = true;
      else raw.write(`data: ${JSON.stringify(told)}\n\n`);
    };
    const whole = () => write({ sheet: (followers?.followed.sheet ?? frozen!).css });
    raw.on('drain', () => {
      if (behind) whole();
      behind = false;
    });
    whole();
    followers?.tell.add(write);
    await shares.countOpening(share.id).catch((error: unknown) => log.warn(error));
    const note = () => void (frozen ? null : shares.noteFollowed(share.id).catch(() => {}));
    note();
    const look = () =>
      void shares.isOpen(share.id).then(
        (still) => still || raw.end(),
        () => raw.end(),
      );
    const timers = [
      setInterval(() => raw.write('event: alive\ndata:\n\n'), KEEP_ALIVE_MS),
      setInterval(note, (FOLLOWED_S * 1000) / 2),
      setInterval(look, FOLLOWED_S * 1000),
    ];
    const leaves = [
      changes.onAccess((changed) => {
        if ((changed?.project ?? share.projectId) === share.projectId) look();
      }),
      app.ending.onBegin(() => raw.end('event: ending\ndata:\n\n')),
    ];
    const close = () => {
      for (const timer of timers) clearInterval(timer);
      for (const leave of leaves) leave();
      followers?.tell.delete(write);
      if (followers && !followers.tell.size) followers.leave();
      raw.end();
    };
    if (raw.destroyed) close();
    else request.raw.on('close', close);
  });
}

/** `/api/projects/:id/drag`: what somebody drags, for those who follow the project's style sheet. */
export async function dragRoutes(app: FastifyInstance): Promise<void> {
  app.post<{ Params: { id: string }; Body: Omit<Dragged, 'project'> }>(
    '/drag',
    { ...needs({ project: 'edit' }), schema: { params: projectParams, body: dragBody } },
    async ({ params: { id }, body }): Promise<{ followed: boolean }> => {
      const isFollowed = await app.shares.isFollowed(id);
      if (isFollowed) await app.tellDrag({ ...body, project: id });
      return { followed: isFollowed };
    },
  );
}
