import { createHmac, timingSafeEqual } from 'node:crypto';
import type { CookieSerializeOptions } from '@fastify/cookie';
import type { FastifyReply, FastifyRequest } from 'fastify';
import type { OpenShare } from '../database/share-store.ts';
import { ApiError } from '../errors.ts';
import type { ShareNeed } from './needs.ts';
import { hashOf } from './token.ts';

/** How shares are opened by their addresses. */
export interface ShareDoor {
  /** The share of a token's hash; null for one that is shut, has ended, or never was. */
  find(token: Buffer): Promise<OpenShare | null>;
  /** Whether the browser has been given the key of a share that has a passphrase. */
  hasKey(request: FastifyRequest, share: OpenShare): boolean;
  /** Gives the browser that key, until the share's end. */
  giveKey(reply: FastifyReply, token: string, share: OpenShare): void;
}

const COOKIE = 'mint-lamp-share';
const A_DAY_S = 24 * 60 * 60;

/** The key of a share: another as soon as its passphrase is another. */
const keyOf = (secret: string, { id, passphrase }: OpenShare): string =>
  createHmac('sha256', secret).update(`share ${id} ${passphrase}`).digest('base64url');

/** `secure`: whether the server is reached over TLS, or on this computer alone. */
export function shareDoor(
  find: (token: Buffer) => Promise<OpenShare | null>,
  secret: string,
  secure: boolean,
): ShareDoor {
  return {
    find,
    hasKey({ cookies }, share) {
      const given = Buffer.from(cookies[COOKIE] ?? '');
      const key = Buffer.from(keyOf(secret, share));
      return given.length === key.length && timingSafeEqual(given, key);
    },
    giveKey(reply, token, share) {
      // It goes to this share's own addresses only, so that each has its own.
      const options: CookieSerializeOptions = {
        path: `/api/shared/${token}`,
        httpOnly: true,
        secure,
        sameSite: 'strict',
        maxAge: A_DAY_S,
      };
      reply.setCookie(COOKIE, keyOf(secret, share), options);
    },
  };
}

/** What is told of a share that is shut, has ended, never was, or is for something else. */
const notThere = () => new ApiError('NOT_FOUND', 'There is nothing at this address, or not any more.', '');

/** Whether a share is for what is to be done. */
function isFor({ subject: { kind }, tries, notes }: OpenShare, need: Exclude<ShareNeed, 'door'>): boolean {
  switch (need) {
    case 'css':
      return kind === 'css';
    case 'look':
      return kind !== 'css';
    case 'try':
      return tries;
    case 'note':
      return notes;
  }
}

/** The share of a request's address, opened as far as it needs; throws ApiError. */
export async function openShare(
  request: FastifyRequest,
  need: ShareNeed,
  door: ShareDoor,
): Promise<OpenShare> {
  const { token } = request.params as { token?: string };
  const share = /^[\w-]{43}$/.test(token ?? '') ? await door.find(hashOf(token!)) : null;
  if (!share) throw notThere();
  if (need === 'door') return share;
  if (!isFor(share, need)) throw notThere();
  if (share.passphrase !== null && !door.hasKey(request, share))
    throw new ApiError('SHARE_LOCKED', 'This opens with a passphrase. Ask whoever sent it.');
  return share;
}
