import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import type { DataSource } from 'typeorm';
import { needs } from '../access/needs.ts';
import { answers } from '../database/database.ts';
import { ApiError } from '../errors.ts';

/**
 * `/api/health`: whether this process lives and its database answers. `/api/ready`: whether to send it requests; not any
 * more once it is told to end (`ending.ts`), while it finishes what it has.
 */
export const health = fp(async (app: FastifyInstance, { source }: { source: DataSource }) => {
  app.get('/api/health', needs('anyone'), async () => {
    await answers(source);
    return { ok: true };
  });
  app.get('/api/ready', needs('anyone'), async () => {
    if (app.ending.begun)
      throw new ApiError('BUSY', 'This process is ending; ask again, and another answers.', '', 1);
    await answers(source);
    return { ok: true };
  });
});
