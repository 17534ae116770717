import { existsSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { needs } from '../access/needs.ts';

/** Beside the built server, where the build puts it (`scripts/licences.mjs`). */
const NOTICES = fileURLToPath(new URL('./NOTICES.txt', import.meta.url));

/** `/api/licences`: the licences of everything that ships, as text. */
export const licences = fp(async (app: FastifyInstance) => {
  const text = existsSync(NOTICES)
    ? readFileSync(NOTICES, 'utf8')
    : 'The notices were not gathered: run "npm run build".\n';
  app.get('/api/licences', needs('anyone'), async (_, reply) =>
    reply.type('text/plain; charset=utf-8').header('cache-control', 'public, max-age=3600').send(text),
  );
});
