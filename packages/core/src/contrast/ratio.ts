import { LINEAR_8BIT, linearize, luminanceOfLinear } from '../color/kernel.ts';
import { clamp } from '../numbers/clamp.ts';

/** sRGB channels 0–255 (fractions allowed) and alpha 0–1. */
export interface Rgba {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly alpha: number;
}

/** A channel held in 0–255, or an alpha in 0–1; what is no number is 0. */
const held = (v: number, most: number) => (Number.isNaN(v) ? 0 : clamp(v, 0, most));

/** Linear light of a channel 0–255; whole numbers by table, where anything else finds nothing. */
const linear = (v: number) => ((v & 255) === v ? LINEAR_8BIT[v]! : linearize(held(v, 255) / 255));

/**
 * WCAG 2.2 relative luminance of an opaque sRGB colour, 0–1. Channels are held in 0–255, what is no number counts
 * as 0; alpha is not looked at.
 */
export function luminance(c: Rgba): number {
  return luminanceOfLinear(linear(c.r), linear(c.g), linear(c.b));
}

/** {@link luminance} of whole channels 0–255, all of which have to be. */
export const luminanceOfRgb8 = (r: number, g: number, b: number): number =>
  luminanceOfLinear(LINEAR_8BIT[r]!, LINEAR_8BIT[g]!, LINEAR_8BIT[b]!);

/** WCAG 2.2 contrast ratio of two relative luminances, 1–21, in either order. */
export function ratioOfLuminances(a: number, b: number): number {
  return a > b ? (a + 0.05) / (b + 0.05) : (b + 0.05) / (a + 0.05);
}

/** WCAG 2.2 contrast ratio of two opaque colours, 1–21, in either order. */
export function contrastRatio(a: Rgba, b: Rgba): number {
  return ratioOfLuminances(luminance(a), luminance(b));
}

/** What the last bits of a float may be off; the same for showing a ratio and for judging it. */
const TOLERANCE = 1e-11;

/**
 * A ratio as it is shown: two decimals, cut and never rounded up, so that 4.499 reads "4.49".
 * The cut allows for the last bit of a float: 3 exactly is "3.00" even as 2.9999999999999996.
 */
export function formatRatio(ratio: number): string {
  return (Math.floor((ratio + TOLERANCE) * 100) / 100).toFixed(2);
}

/**
 * Whether a ratio reaches what is required. Never rounded up, as {@link formatRatio}.
 */
export function reaches(ratio: number, required: number): boolean {
  return ratio + TOLERANCE >= required;
}

/**
 * Source-over compositing of a translucent colour on an opaque one, per channel in encoded sRGB, as browsers
 * paint (CSS Color 4 §11, Compositing 1). The result is opaque and not rounded to 8 bits. Channels are held in
 * 0–255 and alpha in 0–1, what is no number counts as 0.
 */
export function composite(over: Rgba, beneath: Rgba): Rgba {
  const alpha = held(over.alpha, 1);
  const within = (v: number) => v >= 0 && v <= 255;
  if (alpha === 1 && within(over.r) && within(over.g) && within(over.b)) return over;
  const mix = (o: number, u: number) => held(o, 255) * alpha + held(u, 255) * (1 - alpha);
  return { r: mix(over.r, beneath.r), g: mix(over.g, beneath.g), b: mix(over.b, beneath.b), alpha: 1 };
}

const byte = (v: number) => Math.round(held(v, 255));

/**
 * A translucent colour over an opaque one, in the 8 bits that are painted: what is measured and shown is this, and
 * not {@link composite}, which may pass a target that the painted colours miss. The arithmetic is that of Chromium's
 * painting without a graphics card, to the bit: alpha in 8 bits, the colour multiplied by it and rounded, what shows
 * through cut.
 */
export function paintedOver(over: Rgba, beneath: Rgba): Rgba {
  const alpha = Math.round(held(over.alpha, 1) * 255);
  const paint = (o: number, u: number) =>
    Math.min(255, Math.round((byte(o) * alpha) / 255) + ((byte(u) * (256 - alpha)) >> 8));
  return {
    r: paint(over.r, beneath.r),
    g: paint(over.g, beneath.g),
    b: paint(over.b, beneath.b),
    alpha: 1,
  };
}
