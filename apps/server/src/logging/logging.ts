import { randomUUID } from 'node:crypto';
import type { FastifyInstance, FastifyRequest, FastifyServerOptions } from 'fastify';
import fp from 'fastify-plugin';

/** A fault without what it was about: parameters of queries are documents, and secrets. */
const faultWithoutData = (error: Error & { code?: unknown }) => ({
  type: error.name,
  message: error.message,
  stack: error.stack ?? '',
  ...(typeof error.code === 'string' ? { code: error.code } : {}),
});

/** What is logged of a request: which route it asked, not with what; an address may be a secret, and so may a query. */
const requestInShort = ({ method, routeOptions, params }: FastifyRequest) => {
  const { id } = (params ?? {}) as { id?: unknown };
  const of = typeof id === 'string' && /^[\da-f-]{36}$/i.test(id) ? { of: id } : {};
  return { method, route: routeOptions?.url ?? 'none', ...of };
};

/** JSON lines, each with the id of its request; `level` as pino has them. */
export const loggerAt = (level: string): FastifyServerOptions['logger'] => ({
  level,
  serializers: {
    req: requestInShort as never,
    res: ({ statusCode }: { statusCode?: number }) => ({ statusCode }) as never,
    err: faultWithoutData as never,
    error: faultWithoutData as never,
  },
});

/** Every answer says the id under which its request is logged. */
export const requestId = fp(async (app: FastifyInstance) => {
  app.addHook('onRequest', async ({ id }, reply) => {
    reply.header('request-id', id);
  });
});

export const newRequestId = (): string => randomUUID();
