import type { WantedRegion } from '@mint-lamp/core/system/pictures/regions';
import type { Lane } from '../../jobs/lane.ts';
import { writeIncoming } from '../storing/incoming.ts';

/** Bytes of regions that are remembered: what a key says never changes. */
const MOST_KEPT = 16 * 1024 * 1024;
const kept = new Map<string, Uint8Array>();
let keptBytes = 0;

function keep(key: string, bytes: Uint8Array): void {
  keptBytes += bytes.length - (kept.get(key)?.length ?? 0);
  kept.set(key, bytes);
  for (const [old, { length }] of kept) {
    if (keptBytes <= MOST_KEPT) break;
    kept.delete(old);
    keptBytes -= length;
  }
}

/** A kept file, as it can be read. */
export interface KeptFile {
  readonly mediaType: string;
  readonly read: () => AsyncIterable<Uint8Array>;
}

/**
 * The colours of regions of one picture as bytes (the core's `wire/regions.ts`), by their keys, from the file that
 * `find` gives; none where there is none. What is not remembered is counted in one go.
 */
export async function regionColors(
  regions: readonly WantedRegion[],
  find: () => Promise<KeptFile | null>,
  lane: Lane,
  signal: AbortSignal,
): Promise<ReadonlyMap<string, Uint8Array>> {
  const colors = new Map<string, Uint8Array>();
  for (const { key } of regions) {
    const known = kept.get(key);
    if (known) colors.set(key, known);
  }
  const missing = regions.filter(({ key }) => !colors.has(key));
  const found = missing.length ? await find() : null;
  if (!found) return colors;
  const { file, remove } = await writeIncoming(found.read());
  try {
    const areas = missing.map(({ area }) => area);
    const counted = await lane.run('countRegions', { file, mediaType: found.mediaType, areas }, signal);
    for (const [i, { key }] of missing.entries()) {
      keep(key, counted[i]!);
      colors.set(key, counted[i]!);
    }
    return colors;
  } finally {
    await remove();
  }
}
