import type { SeenColors } from '@mint-lamp/core/contrast/over-colors';
import type { Area } from '@mint-lamp/core/gradient/area';
import { AreaColors } from '@mint-lamp/core/picture/area-colors';
import type { WantedRegion } from '@mint-lamp/core/system/pairs/regions';
import sharp from 'sharp';

/** Pixels that are held at a time. */
const PART = 8_000_000;
/** Regions that are kept: what a key says never changes. */
const MOST_KEPT = 40;
const kept = new Map<string, SeenColors>();

const unlimited = { limitInputPixels: false, failOn: 'error' } as const;

/** The colours of a region of a picture as it is shown: upright, and in sRGB. */
async function counted(
  bytes: Uint8Array,
  mediaType: string,
  { x, y, width, height }: Area,
): Promise<SeenColors> {
  const colors = new AreaColors();
  const rows = Math.max(1, Math.floor(PART / width));
  for (let top = y; top < y + height; top += rows) {
    const opened = sharp(bytes, unlimited);
    // AVIF's own form says which way is up.
    const upright = mediaType === 'image/avif' ? opened : opened.autoOrient();
    const part = await upright
      .extract({ left: x, top, width, height: Math.min(rows, y + height - top) })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer();
    colors.add(part);
  }
  return colors.colors();
}

/** A kept file, as it can be read. */
export interface KeptFile {
  readonly mediaType: string;
  readonly read: () => AsyncIterable<Uint8Array>;
}

/** The colours of a region, from the file that `find` gives; null where there is none. */
export async function regionColors(
  { key, area }: WantedRegion,
  find: () => Promise<KeptFile | null>,
): Promise<SeenColors | null> {
  const known = kept.get(key);
  if (known) return known;
  const file = await find();
  if (!file) return null;
  const parts: Uint8Array[] = [];
  for await (const part of file.read()) parts.push(part);
  const colors = await counted(Buffer.concat(parts), file.mediaType, area);
  kept.set(key, colors);
  for (const old of kept.keys()) {
    if (kept.size <= MOST_KEPT) break;
    kept.delete(old);
  }
  return colors;
}
