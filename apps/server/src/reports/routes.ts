import type { SeenColors } from '@mint-lamp/core/contrast/over-colors';
import { DOCUMENT_VERSION } from '@mint-lamp/core/system/document';
import { measureLayersWith } from '@mint-lamp/core/system/pairs/layered';
import { wantedRegions } from '@mint-lamp/core/system/pairs/regions';
import { underTexts } from '@mint-lamp/core/system/pairs/under-text';
import { readoutOf } from '@mint-lamp/core/system/readout/readout';
import { type ContrastReport, reportOf } from '@mint-lamp/core/system/readout/report';
import { resolveSystem } from '@mint-lamp/core/system/resolve/resolve';
import type { FastifyInstance } from 'fastify';
import { FormAhead } from '../database/form-ahead.ts';
import { ApiError } from '../errors.ts';
import { regionColors } from '../pictures/region-colors.ts';
import { params } from '../projects/schemas.ts';

measureLayersWith(underTexts);

/**
 * `/api/projects/:id/report`: every pair in every theme as JSON, for a build or whatever else reads it. Its form is its
 * own and not that of documents, so that no page of another age is turned away.
 */
export async function reportRoutes(app: FastifyInstance): Promise<void> {
  app.get<{ Params: { id: string } }>(
    '/',
    { schema: { params } },
    async ({ ownerId, params: { id } }): Promise<ContrastReport> => {
      const project = await app.projects.find(ownerId, id);
      if (!project) throw new ApiError('NOT_FOUND', 'There is no project at this address.', 'params.id');
      if (project.document.version !== DOCUMENT_VERSION) throw new FormAhead();
      const regions = new Map<string, SeenColors>();
      for (const region of wantedRegions(project.document)) {
        const { content } = region;
        const colors = await regionColors(region, async () => {
          const file = await app.pictures.find(ownerId, id, content);
          return file && { mediaType: file.mediaType, read: () => app.pictures.read(content) };
        });
        if (colors) regions.set(region.key, colors);
      }
      const readout = readoutOf(resolveSystem(project.document, undefined, regions));
      return reportOf(readout, project.revision, new Date().toISOString());
    },
  );
}
