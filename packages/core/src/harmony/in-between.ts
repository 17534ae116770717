import { toRgb8 } from '../color/gamut.ts';
import { rgbToOklab } from '../color/kernel.ts';
import type { Color } from '../color/spaces.ts';
import { clamp } from '../numbers/clamp.ts';
import { between } from './relations.ts';

/** Looks for the place of each colour along the way. */
const LOOKS = 256;

/**
 * One to nine colours between two others, evenly to the eye: on the way from one to the other in OKLab, at places from
 * which each is as far (ΔE OK, as the colours come out in 8 bits of sRGB) from the next.
 */
export function inBetween(a: Color, b: Color, count: number): Color[] {
  const n = clamp(Math.round(count) || 1, 1, 9);
  const way = Array.from({ length: LOOKS + 1 }, (_, i) => between(a, b, i / LOOKS));
  const labs = way.map((c) => rgbToOklab(...toRgb8(c)));
  const along = [0];
  for (let i = 1; i <= LOOKS; i++)
    along.push(along[i - 1]! + Math.hypot(...labs[i]!.map((v, k) => v - labs[i - 1]![k]!)));
  const all = along[LOOKS]!;
  return Array.from({ length: n }, (_, i) => {
    const wanted = (all * (i + 1)) / (n + 1);
    let best = 0;
    for (let k = 1; k <= LOOKS; k++)
      if (Math.abs(along[k]! - wanted) < Math.abs(along[best]! - wanted)) best = k;
    return way[best]!;
  });
}
