import type { Rgba } from '../contrast/ratio.ts';
import { clamp } from '../numbers/clamp.ts';
import { paintIn } from './geometry.ts';
import { hintsAsStops } from './hints-as-stops.ts';
import { type CssGradient, colorAtPlace } from './model.ts';

/** Some rows of a picture: RGBA, 8 bits, not multiplied by alpha. */
export interface PaintedRows {
  readonly y: number;
  readonly rows: number;
  readonly pixels: Uint8ClampedArray<ArrayBuffer>;
}

/** px of a side of a picture, at most. */
export const LARGEST_SIDE = 8192;
/** Pixels that are painted in one step. */
const PART = 400_000;
/** Places along the way of which the colours are worked out once: some for each px of the longer side. */
const LOOKS_PER_PX = 4;
const FEWEST_LOOKS = 1 << 13;
const MOST_LOOKS = 1 << 15;

/** Thresholds of an 8 × 8 matrix (Bayer), 0–1: the order in which the pixels of a tile get the next higher step. */
const TILE = 8;
const THRESHOLDS = Float64Array.from({ length: TILE * TILE }, (_, i) => {
  const [x, y] = [i % TILE, Math.floor(i / TILE)];
  let rank = 0;
  for (let bit = 0; bit < 3; bit++) {
    const [bx, by] = [(x >> bit) & 1, (y >> bit) & 1];
    rank |= ((bx ^ by) << (2 * (2 - bit) + 1)) | (by << (2 * (2 - bit)));
  }
  return (rank + 0.5) / (TILE * TILE);
});

/**
 * Paints a gradient in a box of whole px, as many rows at a time as make a step. Each pixel has the colour of its middle,
 * put into 8 bits; `dithered`, the steps between two colours of 8 bits are spread over tiles of 8 × 8 pixels whose
 * average is the colour itself, so that no bands are seen. Throws a RangeError for sides under 1 or over 8192 px.
 */
export function* paintRows(
  gradient: CssGradient,
  width: number,
  height: number,
  dithered: boolean,
): Generator<PaintedRows, void> {
  const isSide = (side: number) => Number.isInteger(side) && side >= 1 && side <= LARGEST_SIDE;
  if (!isSide(width) || !isSide(height))
    throw new RangeError(`A picture has sides of 1 to ${LARGEST_SIDE} px.`);
  const painter = paintIn(gradient, { width, height });
  const placed = hintsAsStops(painter.placed);
  const { first, last } = placed;
  const span = last - first;
  const isFolded = placed.repeating && span > 0;
  // Of what is not repeated, everything beyond the ends is as the ends are.
  const looks = clamp(LOOKS_PER_PX * Math.max(width, height), FEWEST_LOOKS, MOST_LOOKS);
  const colors = new Float64Array(looks * 4);
  const put = (at: number, { r, g, b, alpha }: Rgba) => colors.set([r, g, b, alpha * 255], at * 4);
  const along = { ...placed, repeating: false };
  for (let i = 0; i < looks; i++)
    put(i, colorAtPlace(along, first + (span * (i + (isFolded ? 0.5 : 0))) / (isFolded ? looks : looks - 1)));
  const low = colorAtPlace(placed, first - 1);
  const high = colorAtPlace(placed, last + 1);
  const lookOf = (place: number): number => {
    if (isFolded) {
      const share = (place - first) / span;
      return Math.min(looks - 1, Math.floor((share - Math.floor(share)) * looks));
    }
    return Math.round(((place - first) / span) * (looks - 1));
  };
  // All stops of a repeating one at one place are painted as the last of them.
  const flat = painter.flat ?? (placed.repeating && span <= 0 ? high : null);
  const one = new Float64Array(4);
  const only = ({ r, g, b, alpha }: Rgba) => one.set([r, g, b, alpha * 255]);
  const step = Math.max(1, Math.floor(PART / width));
  const point = { x: 0, y: 0 };
  for (let y = 0; y < height; y += step) {
    const rows = Math.min(step, height - y);
    const pixels = new Uint8ClampedArray(width * rows * 4);
    let at = 0;
    for (let row = y; row < y + rows; row++)
      for (let x = 0; x < width; x++) {
        point.x = x + 0.5;
        point.y = row + 0.5;
        const place = painter.placeAt(point);
        let from = colors;
        let k = 0;
        if (flat) only(flat);
        else if (!isFolded && place < first) only(low);
        else if (!isFolded && place >= last) only(high);
        if (flat || (!isFolded && (place < first || place >= last))) from = one;
        else k = lookOf(place) * 4;
        const raised = dithered ? THRESHOLDS[(row % TILE) * TILE + (x % TILE)]! : 0.5;
        for (let c = 0; c < 4; c++) pixels[at++] = Math.floor(from[k + c]! + raised);
      }
    yield { y, rows, pixels };
  }
}
