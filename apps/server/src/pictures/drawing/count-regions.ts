import { readFile } from 'node:fs/promises';
import type { Area } from '@mint-lamp/core/gradient/area';
import { AreaColors } from '@mint-lamp/core/picture/area-colors';
import { writeRegion } from '@mint-lamp/core/wire/regions';
import sharp from 'sharp';

export interface CountInput {
  /** A file as it is kept. */
  readonly file: string;
  readonly mediaType: string;
  /** px of the picture as it is shown. */
  readonly areas: readonly Area[];
}

/** Bytes of a pixel, RGBA. */
const EACH = 4;

/** The least area that holds all of some. */
function around(areas: readonly Area[]): Area {
  const x = Math.min(...areas.map((area) => area.x));
  const y = Math.min(...areas.map((area) => area.y));
  const right = Math.max(...areas.map((area) => area.x + area.width));
  const bottom = Math.max(...areas.map((area) => area.y + area.height));
  return { x, y, width: right - x, height: bottom - y };
}

/** Rows of so many bytes, from chunks that end anywhere. */
async function* rowsOf(chunks: AsyncIterable<Uint8Array>, length: number): AsyncGenerator<Uint8Array> {
  const row = new Uint8Array(length);
  let filled = 0;
  for await (const chunk of chunks)
    for (let at = 0; at < chunk.length; ) {
      const part = chunk.subarray(at, at + length - filled);
      row.set(part, filled);
      filled += part.length;
      at += part.length;
      if (filled < length) continue;
      yield row;
      filled = 0;
    }
}

/**
 * Job: the colours of regions of a picture as it is shown: upright, and in sRGB. However many there are, it is read
 * once, row by row.
 */
export async function countRegions({ file, mediaType, areas }: CountInput): Promise<Uint8Array[]> {
  const { x, y, width, height } = around(areas);
  const opened = sharp(await readFile(file), { limitInputPixels: false, failOn: 'error' });
  // AVIF's own form says which way is up.
  const upright = mediaType === 'image/avif' ? opened : opened.autoOrient();
  const pixels: AsyncIterable<Uint8Array> = upright
    .extract({ left: x, top: y, width, height })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw({ depth: 'uchar' });
  const counted = areas.map((area) => ({ area, colors: new AreaColors() }));
  let at = y;
  for await (const row of rowsOf(pixels, width * EACH)) {
    for (const { area, colors } of counted)
      if (at >= area.y && at < area.y + area.height)
        colors.add(row.subarray((area.x - x) * EACH, (area.x - x + area.width) * EACH));
    at += 1;
  }
  return counted.map(({ colors }) => writeRegion(colors.colors()));
}
