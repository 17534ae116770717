import type { CookieSerializeOptions } from '@fastify/cookie';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { hashOf, newToken } from './token.ts';

/** A browser takes a cookie of this prefix from its own host alone, over TLS, for all of its paths. */
const SECURE_NAME = '__Host-mint-lamp';
const PLAIN_NAME = 'mint-lamp';

/** How a session's token goes to a browser and comes back. */
export interface SessionCookie {
  /** The hash of the token that came; null where none did. */
  read(request: FastifyRequest): Buffer | null;
  /** Gives the browser a new token; its hash. */
  give(reply: FastifyReply): Buffer;
  take(reply: FastifyReply): void;
}

/** `secure`: whether the server is reached over TLS, or on this computer alone; `hours`: for how long it is kept. */
export function sessionCookie(secure: boolean, hours: number): SessionCookie {
  const name = secure ? SECURE_NAME : PLAIN_NAME;
  const options: CookieSerializeOptions = { path: '/', httpOnly: true, secure, sameSite: 'strict' };
  return {
    read({ cookies }) {
      const token = cookies[name];
      return token ? hashOf(token) : null;
    },
    give(reply) {
      const token = newToken();
      reply.setCookie(name, token, { ...options, maxAge: hours * 3600 });
      return hashOf(token);
    },
    take(reply) {
      reply.clearCookie(name, options);
    },
  };
}
