import {
  composite,
  contrastRatio,
  luminance,
  paintedOver,
  type Rgba,
  ratioOfLuminances,
  reaches,
} from '../contrast/ratio.ts';
import { colorAtPlace, type PlacedGradient } from './model.ts';

/** The worst contrast of a text over something that is not one colour. */
export interface WorstContrast {
  readonly ratio: number;
  /** Percent along the gradient, or index of the pixel. */
  readonly at: number;
  readonly ground: Rgba;
}

/** Looks per stretch, before the worst of them is closed in on. */
const SCAN = 128;
/** Steps of closing in: enough from 10,000 percent to 1e-4. */
const MOST_STEPS = 40;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Percent beyond which no place of a gradient is looked for. */
const FARTHEST = 10_000;
const within = (v: number) => (Number.isNaN(v) ? 0 : Math.min(FARTHEST, Math.max(-FARTHEST, v)));

/**
 * The worst WCAG ratio of a text (it may be translucent) over a gradient lying on an opaque ground, wherever
 * along the way it is: between two stops luminance may pass the text's own, where the ratio falls to 1 although
 * both stops pass. Each stretch is scanned, then the worst place in it closed in on by golden section, to
 * 1e-4 percent. `seen` is the part of the gradient line that is painted, in percent; of a repeating gradient
 * all is seen.
 */
export function worstOverGradient(
  text: Rgba,
  placed: PlacedGradient,
  beneath: Rgba,
  seen: readonly [from: number, to: number] = [0, 100],
): WorstContrast {
  const over = (color: Rgba, at: number): WorstContrast => {
    const ground = composite(color, beneath);
    return { ratio: contrastRatio(composite(text, ground), ground), at, ground };
  };
  const along = { ...placed, repeating: false };
  const look = (at: number) => over(colorAtPlace(along, at), at);
  const [start, end] = placed.repeating ? [placed.first, placed.last] : [within(seen[0]), within(seen[1])];
  let worst = look(start);
  const consider = (candidate: WorstContrast) => {
    if (candidate.ratio < worst.ratio) worst = candidate;
  };
  consider(look(end));
  for (const stretch of placed.stretches) {
    // At a hard edge both sides are seen, of which a place has only one.
    for (const [at, color] of [
      [stretch.from, stretch.a],
      [stretch.to, stretch.b],
    ] as const)
      if (at >= start && at <= end) consider(over(color, at));
    const from = Math.max(start, stretch.from);
    const to = Math.min(end, stretch.to) - 1e-9;
    if (!(to > from)) continue;
    let nearby = from;
    let best = Number.POSITIVE_INFINITY;
    for (let k = 0; k <= SCAN; k++) {
      const at = from + ((to - from) * k) / SCAN;
      const { ratio } = look(at);
      if (ratio < best) {
        best = ratio;
        nearby = at;
      }
    }
    let low = Math.max(from, nearby - (to - from) / SCAN);
    let high = Math.min(to, nearby + (to - from) / SCAN);
    // Each step leaves 0.62 of the stretch; where numbers are too large to tell places apart, it ends all the same.
    for (let step = 0; step < MOST_STEPS && high - low > 1e-4; step++) {
      const c = high - GOLDEN * (high - low);
      const d = low + GOLDEN * (high - low);
      if (look(c).ratio < look(d).ratio) high = d;
      else low = c;
    }
    consider(look((low + high) / 2));
  }
  return worst;
}

/** Every colour of a region of RGBA pixels as it is painted on an opaque ground, once, with the index of a pixel. */
function* groundsIn(
  pixels: Uint8ClampedArray | Uint8Array,
  beneath: Rgba,
): Generator<[index: number, ground: Rgba]> {
  if (pixels.length < 4) throw new RangeError('The region has no pixels.');
  const seen = new Map<number, number>();
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    const key = pixels[i]! * 0x1000000 + pixels[i + 1]! * 0x10000 + pixels[i + 2]! * 0x100 + pixels[i + 3]!;
    if (!seen.has(key)) seen.set(key, i / 4);
  }
  for (const index of seen.values()) {
    const [r, g, b, a] = pixels.subarray(index * 4, index * 4 + 4);
    yield [index, paintedOver({ r: r!, g: g!, b: b!, alpha: a! / 255 }, beneath)];
  }
}

/**
 * The worst ratio of each of several opaque texts over a region of RGBA pixels, as {@link worstOverPixels} has them
 * one by one, for about the cost of one.
 */
export function worstOfEach(
  texts: readonly Rgba[],
  pixels: Uint8ClampedArray | Uint8Array,
  beneath: Rgba,
): number[] {
  const worst = texts.map(() => Number.POSITIVE_INFINITY);
  const own = texts.map(luminance);
  for (const [, ground] of groundsIn(pixels, beneath)) {
    const y = luminance(ground);
    for (let i = 0; i < worst.length; i++) worst[i] = Math.min(worst[i]!, ratioOfLuminances(own[i]!, y));
  }
  return worst;
}

/**
 * The worst WCAG ratio of a text over a region of RGBA pixels (4 bytes each, not premultiplied) lying on an
 * opaque ground, with the index of that pixel. Throws a RangeError for a region without pixels.
 */
export function worstOverPixels(
  text: Rgba,
  pixels: Uint8ClampedArray | Uint8Array,
  beneath: Rgba,
): WorstContrast {
  let worst: WorstContrast | null = null;
  for (const [index, ground] of groundsIn(pixels, beneath)) {
    const ratio = contrastRatio(paintedOver(text, ground), ground);
    if (!worst || ratio < worst.ratio) worst = { ratio, at: index, ground };
  }
  return worst!;
}

/**
 * The best readable of several text colours on an opaque ground: the one with the highest ratio; with
 * `required`, the first in the order given that reaches it, or else the highest.
 */
export function bestTextColor<T extends Rgba>(
  candidates: readonly T[],
  ground: Rgba,
  required?: number,
): { readonly color: T; readonly ratio: number } | null {
  let best: { color: T; ratio: number } | null = null;
  for (const candidate of candidates) {
    const ratio = contrastRatio(paintedOver(candidate, ground), ground);
    if (required !== undefined && reaches(ratio, required)) return { color: candidate, ratio };
    if (!best || ratio > best.ratio) best = { color: candidate, ratio };
  }
  return best;
}

/**
 * All ratios of m colours against n colours, row by row in a Float64Array of m × n: luminances are worked out
 * once for each colour. Channels 0–255, opaque.
 */
export function ratioMatrix(rows: readonly Rgba[], columns: readonly Rgba[]): Float64Array {
  const across = Float64Array.from(columns, luminance);
  const out = new Float64Array(rows.length * columns.length);
  rows.forEach((row, i) => {
    const y = luminance(row);
    for (let j = 0; j < across.length; j++) out[i * across.length + j] = ratioOfLuminances(y, across[j]!);
  });
  return out;
}
