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

const TURN = 2 * Math.PI;
const POW_25_7 = 25 ** 7;
// The formula's angles, in radians.
const [A6, A25, A30, A60, A63, A275] = [6, 25, 30, 60, 63, 275].map((d) => (d * Math.PI) / 180) as [
  number,
  number,
  number,
  number,
  number,
  number,
];

/** √(c⁷ / (c⁷ + 25⁷)), which the formula uses twice. */
function seventh(c: number): number {
  const c2 = c * c;
  const c7 = c2 * c2 * c2 * c;
  return Math.sqrt(c7 / (c7 + POW_25_7));
}

/**
 * CIEDE2000 of two CIE Lab colours (L 0–100), with the parametric weights at 1. 1 is about just noticeable.
 * Source: Sharma, Wu, Dalal, "The CIEDE2000 color-difference formula" (2005), whose 34 test pairs it meets.
 * Discontinuous where the mean hue flips, as the formula is.
 */
export function deltaE2000Lab(
  l1: number,
  a1: number,
  b1: number,
  l2: number,
  a2: number,
  b2: number,
): number {
  const c = (Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2;
  const g = 1.5 - 0.5 * seventh(c);
  const x1 = a1 * g;
  const x2 = a2 * g;
  const c1 = Math.sqrt(x1 * x1 + b1 * b1);
  const c2 = Math.sqrt(x2 * x2 + b2 * b2);
  // Hues in radians. That of a grey is 0 by definition.
  let h1 = c1 === 0 ? 0 : Math.atan2(b1, x1);
  let h2 = c2 === 0 ? 0 : Math.atan2(b2, x2);
  if (h1 < 0) h1 += TURN;
  if (h2 < 0) h2 += TURN;
  let dh = h2 - h1;
  let hm = h1 + h2;
  if (c1 * c2 === 0) dh = 0;
  else {
    if (Math.abs(dh) > Math.PI) hm += hm < TURN ? TURN : -TURN;
    hm /= 2;
    if (dh > Math.PI) dh -= TURN;
    else if (dh < -Math.PI) dh += TURN;
  }
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin(dh / 2);
  const lm = (l1 + l2) / 2 - 50;
  const cm = (c1 + c2) / 2;
  const t =
    1 -
    0.17 * Math.cos(hm - A30) +
    0.24 * Math.cos(2 * hm) +
    0.32 * Math.cos(3 * hm + A6) -
    0.2 * Math.cos(4 * hm - A63);
  const L = (l2 - l1) / (1 + (0.015 * lm * lm) / Math.sqrt(20 + lm * lm));
  const C = (c2 - c1) / (1 + 0.045 * cm);
  const H = dH / (1 + 0.015 * cm * t);
  const turn = (hm - A275) / A25;
  const rt = -2 * Math.sin(A60 * Math.exp(-turn * turn)) * seventh(cm);
  return Math.sqrt(Math.max(0, L * L + C * C + H * H + rt * C * H));
}

/** CIEDE2000 of two colours; see {@link deltaE2000Lab}. Alpha is not looked at. */
export function deltaE2000(a: Color, b: Color): number {
  return deltaE2000Lab(...numbers(convert(a, 'lab')), ...numbers(convert(b, 'lab')));
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
