import type { SeenColors } from '../../contrast/over-colors.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Picture } from '../../document/pictures/picture.ts';
import { type Area, areaWithin } from '../../gradient/area.ts';

/**
 * The colours of regions of pictures, by {@link regionKey}. A document has only the names of its pictures; whoever has
 * their pixels gives what of them lies under texts; null for a picture that is nowhere to be had.
 */
export type Regions = ReadonlyMap<string, SeenColors | null>;

export const NO_REGIONS: Regions = new Map();

/** A region whose colours are needed. */
export interface WantedRegion {
  readonly key: string;
  /** SHA-256 of the picture's file, hex. */
  readonly content: string;
  /** Within the picture, px. */
  readonly area: Area;
}

/** The region of a picture that an area covers. */
export function regionOf(
  { content, width, height }: Pick<Picture, 'content' | 'width' | 'height'>,
  area: Area,
): WantedRegion {
  const within = areaWithin(area, width, height);
  const { x, y, width: w, height: h } = within;
  return { key: `${content} ${x} ${y} ${w} ${h}`, content, area: within };
}

/** The regions that the pairs of a document are measured over, each once. */
export function wantedRegions({
  pairs,
  pictures,
}: {
  readonly pairs: readonly Pair[];
  readonly pictures: readonly Picture[];
}): WantedRegion[] {
  const wanted = new Map<string, WantedRegion>();
  for (const { backdrop } of pairs) {
    if (backdrop?.kind !== 'picture') continue;
    const picture = pictures.find(({ id }) => id === backdrop.picture);
    if (!picture) continue;
    const region = regionOf(picture, backdrop.text);
    wanted.set(region.key, region);
  }
  return [...wanted.values()];
}
