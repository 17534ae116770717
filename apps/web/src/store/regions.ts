import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { NO_REGIONS, type Regions, wantedRegions } from '@mint-lamp/core/system/pairs/regions';
import { readRegion } from '@mint-lamp/core/wire/regions';

/** The colours of the regions of pictures that texts lie over, as far as they were fetched. They never change. */
let known: Regions = NO_REGIONS;

export const knownRegions = (): Regions => known;

/** Regions that are kept, those fetched last. */
const MOST = 200;

/**
 * Fetches what a document wants and is not known yet. Resolves to whether something came; rejects where the server
 * cannot be reached, or has not the picture.
 */
export async function fetchRegions(
  project: string,
  document: Pick<ProjectDocument, 'pairs' | 'pictures'>,
): Promise<boolean> {
  const wanted = wantedRegions(document).filter(({ key }) => !known.has(key));
  if (!wanted.length) return false;
  const fetched = await Promise.all(
    wanted.map(async ({ key, content, area: { x, y, width, height } }) => {
      const area = `x=${x}&y=${y}&width=${width}&height=${height}`;
      const response = await fetch(`/api/projects/${project}/pictures/${content}/region?${area}`);
      if (!response.ok) throw new Error('The colours under a text could not be had from the server.');
      return [key, readRegion(await response.arrayBuffer())] as const;
    }),
  );
  known = new Map([...[...known].slice(-(MOST - fetched.length)), ...fetched]);
  return true;
}
