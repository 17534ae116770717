import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { wantedRegions } from '@mint-lamp/core/system/pictures/regions';
import type { FastifyInstance } from 'fastify';
import { regionColors } from './region-colors.ts';

/** The colours of every region of pictures that texts of a project lie over, as bytes by key. */
export async function allRegions(
  app: FastifyInstance,
  id: string,
  document: ProjectDocument,
  left: AbortSignal,
): Promise<Map<string, Uint8Array>> {
  const regions = new Map<string, Uint8Array>();
  const wanted = wantedRegions(document);
  for (const content of new Set(wanted.map((region) => region.content))) {
    const ofOne = wanted.filter((region) => region.content === content);
    const find = async () => {
      const file = await app.reads.pictures.find(id, content);
      return file && { mediaType: file.mediaType, read: () => app.reads.pictures.read(content) };
    };
    for (const [key, bytes] of await regionColors(ofOne, find, app.jobs.regions, left))
      regions.set(key, bytes);
  }
  return regions;
}
