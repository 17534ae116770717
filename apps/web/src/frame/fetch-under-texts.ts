import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { measureLayersWith } from '@mint-lamp/core/system/pairs/layered';
import { wantedRegions } from '@mint-lamp/core/system/pairs/regions';
import { underTexts } from '@mint-lamp/core/system/pairs/under-text';
import { readRegion } from '@mint-lamp/core/wire/regions';
import { knownRegions, takeRegions } from '../store/known-regions.ts';

/** Whether pairs have been told about it: a part that measures for itself may have brought it before. */
let isHere = false;

/** Regions that are kept, those fetched last. */
const MOST = 200;

/**
 * Has texts over gradients, pictures and veils measured, which comes with this part only, and fetches the regions of
 * pictures that a document wants and that are not known yet. Resolves to whether something came; rejects where it could not be had.
 */
export async function fetchUnderTexts(
  project: string,
  document: Pick<ProjectDocument, 'pairs' | 'pictures'>,
): Promise<boolean> {
  const isNew = !isHere;
  if (isNew) {
    isHere = true;
    measureLayersWith(underTexts);
    takeRegions(new Map(knownRegions()));
  }
  const wanted = wantedRegions(document).filter(({ key }) => !knownRegions().has(key));
  if (!wanted.length) return isNew;
  const fetched = await Promise.all(
    wanted.map(async ({ key, content, area: { x, y, width, height } }) => {
      const area = `x=${x}&y=${y}&width=${width}&height=${height}`;
      const response = await fetch(`/api/projects/${project}/pictures/${content}/region?${area}`);
      if (!response.ok) throw new Error('The colours under a text could not be had from the server.');
      return [key, readRegion(await response.arrayBuffer())] as const;
    }),
  );
  takeRegions(new Map([...[...knownRegions()].slice(-Math.max(0, MOST - fetched.length)), ...fetched]));
  return true;
}
