import { existsSync } from 'node:fs';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { ApiError, sendError } from '../errors.ts';

/** Serves the built interface; an address that is no file gets the page, which knows its own routes. */
export const web = fp(async (app: FastifyInstance, { root }: { root: string }) => {
  const built = existsSync(root);
  if (built)
    await app.register(fastifyStatic, {
      root,
      // Said below, by what kind of file it is.
      cacheControl: false,
      setHeaders: (reply, path) => {
        const named = path.includes('/assets/');
        reply.setHeader('cache-control', named ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    });
  app.setNotFoundHandler((request, reply) => {
    const page =
      built &&
      (request.method === 'GET' || request.method === 'HEAD') &&
      !/^\/(api|assets)(\/|$)/.test(request.url);
    if (page) return reply.sendFile('index.html');
    return sendError(reply, new ApiError('NOT_FOUND', 'There is nothing at this address.'));
  });
});
