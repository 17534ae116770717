import { inGamut, toRgb8 } from '../color/gamut.ts';
import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { hexOfRgb8 } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';

/** A colour as it is painted: 8-bit sRGB and an alpha, with its CSS text. */
export interface Painted extends Rgba {
  /** `#rrggbb`, or `rgb(r g b / a)` when translucent. */
  readonly css: string;
  /** The colour meant lies outside sRGB and is painted as its nearest neighbour inside. */
  readonly outside: boolean;
}

const round4 = (n: number) => Math.round(n * 1e4) / 1e4;

function cssOf(r: number, g: number, b: number, alpha: number): string {
  return alpha >= 1 ? hexOfRgb8(r, g, b) : `rgb(${r} ${g} ${b} / ${round4(alpha)})`;
}

const memory = new Map<string, Painted>();

/** How a document's colour text is painted. Throws a TypeError for text that is no colour. */
export function paint(text: string): Painted {
  let painted = memory.get(text);
  if (!painted) {
    const c = readColor(text);
    const [r, g, b] = toRgb8(c);
    const alpha = c.alpha ?? 0;
    painted = { r, g, b, alpha, css: cssOf(r, g, b, alpha), outside: !inGamut(c) };
    if (memory.size > 20_000) memory.clear();
    memory.set(text, painted);
  }
  return painted;
}

/** A painted colour under a further opacity (0–1). */
export function fade(c: Painted, opacity: number): Painted {
  if (opacity === 1) return c;
  const alpha = c.alpha * opacity;
  return { r: c.r, g: c.g, b: c.b, alpha, css: cssOf(c.r, c.g, c.b, alpha), outside: c.outside };
}

/** A painted colour as a colour of the colour core. */
export function colorOf(c: Rgba): Color {
  return fromRgb8(c.r, c.g, c.b, c.alpha);
}

const labs = new WeakMap<Painted, Readonly<Triple>>();

/** OKLab of a painted colour, alpha aside; worked out once. */
export function oklabOf(c: Painted): Readonly<Triple> {
  let lab = labs.get(c);
  if (!lab) {
    lab = rgbToOklab(c.r, c.g, c.b);
    labs.set(c, lab);
  }
  return lab;
}

/** How far two painted colours are apart, alpha aside: ΔE OK. */
export function differenceOf(a: Painted, b: Painted): number {
  const [p, q] = [oklabOf(a), oklabOf(b)];
  return Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
}
