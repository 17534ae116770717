import { oklchToRgb8, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import type { Triple } from '../color/kernel.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from './ratio.ts';

/** A ground and the ratio that must be reached on it. */
export interface Demand {
  readonly ground: Rgba;
  readonly required: number;
}

export type NearestColor =
  | {
      readonly ok: true;
      readonly color: Color;
      readonly difference: number;
      readonly ratios: readonly number[];
    }
  | {
      readonly ok: false;
      readonly reason: string;
      /** The colour that comes closest to all demands, and its ratios. */
      readonly best: Color;
      readonly ratios: readonly number[];
    };

/** Lightnesses looked at first, and the parts that each step between two of them is then divided into. */
const COARSE = 128;
const FINE = 8;

/**
 * The colour nearest to one (least ΔE OK) with the same hue that reaches the demanded ratio on every ground at
 * once, as a text that stands in several themes must. Lightness moves to either side; chroma is kept as far
 * as the gamut allows. When none can, says so, with the colour that falls short the least. `opacity` (0–1) is
 * laid over the colour before it is measured. Grounds must be opaque; at least one.
 *
 * @example nearestPassingColor(parse('#8e5b00'), [{ ground: cream, required: 4.5 }])
 */
export function nearestPassingColor(c: Color, demands: readonly Demand[], opacity = 1): NearestColor {
  if (!demands.length) throw new RangeError('At least one ground is needed.');
  const start = toRgb8(c);
  const [l0, chroma, hue] = rgb8ToOklch(...start);
  const alpha = (c.alpha ?? 0) * opacity;
  const ratiosOf = ([r, g, b]: Triple) =>
    demands.map(({ ground }) => contrastRatio(paintedOver({ r, g, b, alpha }, ground), ground));
  const passes = (ratios: readonly number[]) =>
    ratios.every((ratio, i) => reaches(ratio, demands[i]!.required));
  const shortfall = (ratios: readonly number[]) =>
    Math.min(...ratios.map((ratio, i) => ratio / demands[i]!.required));
  const differenceTo = (rgb: Triple) => {
    const [l, ch, h] = rgb8ToOklch(...rgb);
    const turn = ((h - hue) * Math.PI) / 180;
    return Math.hypot(l - l0, ch - chroma, 2 * Math.sqrt(Math.max(0, ch * chroma)) * Math.sin(turn / 2));
  };
  let nearest: { rgb: Triple; difference: number; ratios: number[] } | null = null;
  let best = { rgb: start, ratios: ratiosOf(start) };
  /** Notes a colour and says by how much it reaches the demands: 1 and up passes. */
  const consider = (rgb: Triple): number => {
    const ratios = ratiosOf(rgb);
    const reached = shortfall(ratios);
    if (reached > shortfall(best.ratios)) best = { rgb, ratios };
    if (!passes(ratios)) return Math.min(reached, 1 - 1e-9);
    const difference = differenceTo(rgb);
    if (!nearest || difference < nearest.difference) nearest = { rgb, difference, ratios };
    return Math.max(reached, 1);
  };
  if (consider(start) < 1) {
    const reached = Array.from({ length: COARSE + 1 }, (_, i) =>
      consider(oklchToRgb8(i / COARSE, chroma, hue)),
    );
    // The border of what passes lies between a step that does and one that does not, or, where the passing
    // stretch is narrow, beside the step that comes closest.
    const closest = reached.indexOf(Math.max(...reached));
    for (let i = 0; i < COARSE; i++) {
      const border = reached[i]! >= 1 !== reached[i + 1]! >= 1;
      if (!border && i !== closest && i + 1 !== closest) continue;
      for (let k = 1; k < FINE; k++) consider(oklchToRgb8((i + k / FINE) / COARSE, chroma, hue));
    }
    // Around the nearest, less chroma may be nearer still to passing at a smaller change of lightness.
    const found = nearest as { rgb: Triple; difference: number; ratios: number[] } | null;
    if (found) {
      const [l] = rgb8ToOklch(...found.rgb);
      for (let i = -8; i <= 8; i++)
        for (let k = 5; k <= 10; k++)
          consider(oklchToRgb8(l + i / (COARSE * FINE * 2), (chroma * k) / 10, hue));
    }
  }
  const result = nearest as { rgb: Triple; difference: number; ratios: number[] } | null;
  if (result)
    return {
      ok: true,
      color: fromRgb8(...result.rgb, c.alpha ?? 0),
      difference: result.difference,
      ratios: result.ratios,
    };
  const failing = demands.filter((demand, i) => !reaches(best.ratios[i]!, demand.required)).length;
  return {
    ok: false,
    reason:
      demands.length === 1
        ? 'No lightness of this hue reaches the ratio on this ground, not even nearly black or white at this opacity.'
        : `No one colour of this hue reaches the ratio on all ${demands.length} grounds; the best falls short on ${failing}.`,
    best: fromRgb8(...best.rgb, c.alpha ?? 0),
    ratios: best.ratios,
  };
}
