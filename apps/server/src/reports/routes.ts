import { createReadStream } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { FastifyInstance } from 'fastify';
import { needs } from '../access/needs.ts';
import { SchemaVersionAhead } from '../database/schema-version-ahead.ts';
import { ApiError } from '../errors.ts';
import { leftSignal } from '../left.ts';
import { allRegions } from '../pictures/drawing/all-regions.ts';
import { params } from '../projects/schemas.ts';
import { documentInParts } from './document-in-parts.ts';

/**
 * `/api/projects/:id/report`: every pair in every theme as JSON, for a build or whatever else reads it. Its form is its
 * own and not that of documents, so that no page of another age is turned away. It is worked out in a process of its own.
 */
export async function reportRoutes(app: FastifyInstance): Promise<void> {
  app.get<{ Params: { id: string } }>(
    '/',
    { ...needs({ project: 'look' }), schema: { params } },
    async ({ params: { id } }, reply) => {
      const project = await app.reads.projects.find(id);
      if (!project) throw new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
      if (project.document.version !== DOCUMENT_VERSION) throw new SchemaVersionAhead();
      const left = leftSignal(reply);
      const regions = await allRegions(app, id, project.document, left);
      const folder = await mkdtemp(join(tmpdir(), 'mint-lamp-report-'));
      const removed = () => void rm(folder, { recursive: true, force: true });
      try {
        const document = join(folder, 'document.json');
        await writeFile(document, documentInParts(project.document));
        const input = {
          document,
          revision: project.revision,
          at: new Date().toISOString(),
          regions,
          file: join(folder, 'report.json'),
        };
        await app.jobs.reports.run('writeReport', input, left);
        reply.raw.once('close', removed);
        return reply.type('application/json; charset=utf-8').send(createReadStream(input.file));
      } catch (error) {
        removed();
        throw error;
      }
    },
  );
}
