import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { measuredAhead } from '@mint-lamp/core/judged/pairs/measure';
import { underTexts } from '@mint-lamp/core/judged/pairs/under-text';
import { type Regions, type WantedRegion, wantedRegions } from '@mint-lamp/core/system/pictures/regions';
import { readRegion } from '@mint-lamp/core/wire/regions';
import { selectRegions, selectSystem } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';
import { layersCame, regionsCame } from '../store/under-texts-slice.ts';
import { inTurns } from '../ui/turns.ts';

/** The first count of pairs that are not of one colour, of which there may be a hundred thousand. */
let counted: Promise<void> | null = null;

/** What is done of it in one turn of the page, ms, and how often it begins again when there are edits meanwhile. */
const TURN_MS = 10;
const MOST_TRIES = 3;

/** Measures a system a little at a time, so that the page is not held, and only then has such pairs counted. */
async function countUnderTexts(store: AppStore): Promise<void> {
  const current = () => (store.getState().project ? selectSystem(store.getState()) : null);
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const system = current();
    if (!system) break;
    await inTurns(measuredAhead(system, underTexts), TURN_MS);
    if (current() === system) break;
  }
  store.dispatch(layersCame(underTexts));
}

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
function taken(known: Regions, wanted: readonly WantedRegion[], came: readonly Region[]): Regions {
  const needed = new Set(wanted.map(({ key }) => key));
  const unwanted = [...known].filter(([key]) => !needed.has(key)).slice(-MOST_UNWANTED);
  const kept = [...known].filter(([key]) => needed.has(key));
  return new Map([...unwanted, ...kept, ...came]);
}

/**
 * Has texts over gradients, pictures and veils measured, which comes with this part only, and fetches the regions of
 * pictures that a document wants and that are not known yet, a few at a time. One that cannot be had keeps no other
 * waiting.
 */
export async function fetchUnderTexts(
  store: AppStore,
  project: string,
  document: Pick<ProjectDocument, 'pairs' | 'pictures'>,
): Promise<{ readonly missing: boolean }> {
  if (!store.getState().underTexts.layers) {
    counted ??= countUnderTexts(store);
    await counted;
  }
  const wanted = wantedRegions(document);
  const unknown = wanted.filter(({ key }) => !selectRegions(store.getState()).has(key));
  let missing = false;
  for (let at = 0; at < unknown.length; at += AT_A_TIME) {
    const asked = unknown.slice(at, at + AT_A_TIME).map((region) => fetchRegion(project, region));
    const answers = await Promise.all(asked);
    const came = answers.filter((region) => region !== undefined);
    missing ||= came.length < answers.length;
    if (!came.length) continue;
    store.dispatch(regionsCame(taken(selectRegions(store.getState()), wanted, came)));
  }
  return { missing };
}
