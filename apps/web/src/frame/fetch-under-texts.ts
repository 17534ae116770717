import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { measureLayersWith } from '@mint-lamp/core/system/pairs/layered';
import { type Regions, type WantedRegion, wantedRegions } from '@mint-lamp/core/system/pairs/regions';
import { underTexts } from '@mint-lamp/core/system/pairs/under-text';
import { readRegion } from '@mint-lamp/core/wire/regions';
import { knownRegions, takeRegions } from '../store/known-regions.ts';

/** Whether pairs have been told about it: a part that measures for itself may have brought it before. */
let isHere = false;

/** Regions that are kept though the document that is open does not want them, those fetched last. */
const MOST_UNWANTED = 100;
/** Regions that are asked for at a time. */
const AT_A_TIME = 4;
/** How long an answer is waited for, ms. */
const PATIENCE_MS = 60_000;

type Region = readonly [key: string, colors: ReturnType<typeof readRegion> | null];

/** The colours of a region; null when the server does not have its picture, undefined when it cannot tell now. */
async function fetchRegion(
  project: string,
  { key, content, area }: WantedRegion,
): Promise<Region | undefined> {
  const { x, y, width, height } = area;
  const query = `x=${x}&y=${y}&width=${width}&height=${height}`;
  try {
    const response = await fetch(`/api/projects/${project}/pictures/${content}/region?${query}`, {
      signal: AbortSignal.timeout(PATIENCE_MS),
    });
    if (response.ok) return [key, readRegion(await response.arrayBuffer())];
    // What is refused now will be refused again.
    return response.status < 500 ? [key, null] : undefined;
  } catch {
    return undefined;
  }
}

/** What is known with what came; of what is not wanted any more the latest are kept. */
function taken(wanted: readonly WantedRegion[], came: readonly Region[]): Regions {
  const needed = new Set(wanted.map(({ key }) => key));
  const unwanted = [...knownRegions()].filter(([key]) => !needed.has(key)).slice(-MOST_UNWANTED);
  const kept = [...knownRegions()].filter(([key]) => needed.has(key));
  return new Map([...unwanted, ...kept, ...came]);
}

/**
 * Has texts over gradients, pictures and veils measured, which comes with this part only, and fetches the regions of
 * pictures that a document wants and that are not known yet, a few at a time. One that cannot be had keeps no other
 * waiting. `onCame` is called when something came.
 */
export async function fetchUnderTexts(
  project: string,
  document: Pick<ProjectDocument, 'pairs' | 'pictures'>,
  onCame: () => void,
): Promise<{ readonly missing: boolean }> {
  if (!isHere) {
    isHere = true;
    measureLayersWith(underTexts);
    takeRegions(new Map(knownRegions()));
    onCame();
  }
  const wanted = wantedRegions(document);
  const unknown = wanted.filter(({ key }) => !knownRegions().has(key));
  let missing = false;
  for (let at = 0; at < unknown.length; at += AT_A_TIME) {
    const asked = unknown.slice(at, at + AT_A_TIME).map((region) => fetchRegion(project, region));
    const answers = await Promise.all(asked);
    const came = answers.filter((region) => region !== undefined);
    missing ||= came.length < answers.length;
    if (!came.length) continue;
    takeRegions(taken(wanted, came));
    onCame();
  }
  return { missing };
}
