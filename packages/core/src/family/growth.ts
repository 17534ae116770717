import { maxChroma, rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { delinearize, oklabToLinear, polar, type Triple } from '../color/kernel.ts';
import type { Color } from '../color/spaces.ts';
import { hexOfRgb8 } from '../color/write.ts';

/**
 * The recipe that makes a family's shades from its base: even steps of OKLCH lightness between a lightest and
 * a darkest end, with the base kept exactly at the step whose lightness is nearest to its own.
 */
export interface Growth {
  readonly kind: 'lightness';
  /** Shade labels from the lightest to the darkest, 3 to 24, each once. */
  readonly labels: readonly string[];
  /** OKLCH lightness (0–1) of the two ends. A base beyond an end replaces it. */
  readonly lightest: number;
  readonly darkest: number;
  /** −1 to 1: below 0 steps are finer towards the ends, above 0 finer towards the base; 0 is even. */
  readonly curve: number;
  /** 0 to 1.5: how much of the base's chroma is left at the two ends, before the gamut has its say. */
  readonly endChroma: number;
  /** −60 to 60: degrees by which the hue has turned at the dark end, and back at the light end. */
  readonly hueDrift: number;
}

export const USUAL_LABELS = [
  '50',
  '100',
  '200',
  '300',
  '400',
  '500',
  '600',
  '700',
  '800',
  '900',
  '950',
] as const;

export const USUAL_GROWTH: Growth = {
  kind: 'lightness',
  labels: USUAL_LABELS,
  lightest: 0.975,
  darkest: 0.2,
  curve: 0,
  endChroma: 0.35,
  hueDrift: 0,
};

export interface GrownShade {
  readonly label: string;
  readonly hex: string;
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly isBase: boolean;
}

/** Index of the step that the base takes: the nearest on the even scale from lightest to darkest. */
function baseStep(l: number, growth: Growth): number {
  const last = growth.labels.length - 1;
  const along = (growth.lightest - l) / (growth.lightest - growth.darkest);
  return Math.min(last, Math.max(0, Math.round(along * last)));
}

/** Bends 0–1 along the curve setting: exponent 1/2 to 2. */
const bend = (t: number, curve: number) => t ** (2 ** curve);

/**
 * Grows the shades of a family, lightest first. All are 8-bit sRGB; lightness falls strictly from step to
 * step; the base is exactly among them (a base outside sRGB stands there gamut-mapped). Chroma falls towards
 * the ends as the recipe says and never leaves the gamut. Source of the space: CSS Color 4 §9.4.
 */
export function growShades(base: Color, growth: Growth): GrownShade[] {
  const baseRgb = toRgb8(base);
  const [baseL, baseC, baseH] = rgb8ToOklch(...baseRgb);
  const { labels } = growth;
  const last = labels.length - 1;
  const at = baseStep(baseL, growth);
  // An end must lie beyond the base by at least a visible step for each shade on that side.
  const room = 0.012;
  const lightEnd = Math.min(0.995, Math.max(growth.lightest, baseL + room * at));
  const darkEnd = Math.max(0.02, Math.min(growth.darkest, baseL - room * (last - at)));
  const linear: Triple = [0, 0, 0];
  return labels.map((label, i) => {
    if (i === at) {
      const [r, g, b] = baseRgb;
      return { label, hex: hexOfRgb8(r, g, b), r, g, b, isBase: true };
    }
    const lighter = i < at;
    const along = bend(lighter ? (at - i) / at : (i - at) / (last - at), growth.curve);
    const l = baseL + ((lighter ? lightEnd : darkEnd) - baseL) * along;
    const h = baseH + growth.hueDrift * along * (lighter ? -1 : 1);
    const wanted = baseC * (1 + (growth.endChroma - 1) * along * along);
    const [a, bb] = polar(Math.min(wanted, maxChroma(l, h)), h);
    oklabToLinear(l, a, bb, linear);
    const [r, g, b] = linear.map((v) => Math.round(Math.min(1, Math.max(0, delinearize(v))) * 255)) as Triple;
    return { label, hex: hexOfRgb8(r, g, b), r, g, b, isBase: false };
  });
}
