import { convert, numbers } from './convert.ts';
import type { Triple } from './kernel.ts';
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

export interface Twins {
  /** Indices into the list that was given, the smaller first. */
  readonly a: number;
  readonly b: number;
  /** ΔE OK. */
  readonly difference: number;
}

/**
 * All pairs among n OKLab colours that are nearer than a threshold (ΔE OK), nearest first. Equal colours count.
 * Sorted by lightness first, so that only neighbours on that axis are compared.
 */
export function findTwins(colors: readonly Readonly<Triple>[], threshold = 0.02): Twins[] {
  const order = colors.map((_, i) => i).sort((i, j) => colors[i]![0] - colors[j]![0]);
  const out: Twins[] = [];
  for (let i = 0; i < order.length; i++) {
    const one = colors[order[i]!]!;
    for (let j = i + 1; j < order.length; j++) {
      const other = colors[order[j]!]!;
      if (other[0] - one[0] >= threshold) break;
      const difference = Math.hypot(other[0] - one[0], other[1] - one[1], other[2] - one[2]);
      if (difference < threshold)
        out.push({ a: Math.min(order[i]!, order[j]!), b: Math.max(order[i]!, order[j]!), difference });
    }
  }
  return out.sort((x, y) => x.difference - y.difference || x.a - y.a || x.b - y.b);
}
