import { convert, numbers } from './convert.ts';
import type { Color } from './spaces.ts';

/**
 * ΔE OK, the Euclidean distance in OKLab (CSS Color 4 §13.2.1). About 0.02 is just noticeable; black to
 * white is 1.
 */
export function deltaEOk(a: Color, b: Color): number {
  const [l1, a1, b1] = numbers(convert(a, 'oklab'));
  const [l2, a2, b2] = numbers(convert(b, 'oklab'));
  return Math.hypot(l1 - l2, a1 - a2, b1 - b2);
}
