import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { ApiError } from '../errors.ts';

/** The names under which a server on this computer is reached. */
export const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]'];

/** The name in `name:port`, lower case; null for what is none. */
function nameIn(host: string): string | null {
  return /^(\[[\da-f:]+\]|[^:/@\s]+)(?::\d+)?$/i.exec(host)?.[1]?.toLowerCase() ?? null;
}

/** What pages of elsewhere may read: the live style sheet of a share, by an address that is a secret itself. */
const READ_ELSEWHERE = /^\/api\/shared\/[\w-]+\/(colours\.css|follow\.js|changes)(\?|$)/;

/**
 * Refuses requests whose Host, or whose Origin where one is sent, is none of the server's own names, before
 * anything else looks at them: a foreign page whose name was made to lead to this computer would reach all of it
 * otherwise.
 */
export const hosts = fp(async (app: FastifyInstance, { names }: { names: readonly string[] }) => {
  const own = new Set(names.map((name) => name.toLowerCase()));
  const isOwn = (host: string) => own.has(nameIn(host) ?? '');
  app.addHook('onRequest', async ({ method, url, headers: { host, origin } }) => {
    // Whoever looks after machines asks by their numbers; nothing is told there.
    if (/^\/api\/(health|ready)(\?|$)/.test(url)) return;
    const isRead = method === 'GET' && READ_ELSEWHERE.test(url);
    const from = isRead || origin === undefined ? null : (/^https?:\/\/(.*)$/i.exec(origin)?.[1] ?? '');
    if (!isOwn(host ?? '') || (from !== null && !isOwn(from)))
      throw new ApiError('FOREIGN_HOST', 'This server does not answer under that name.', 'headers.host');
  });
});
