import { rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import type { Triple } from '../color/kernel.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { growShades, type LightnessGrowth, USUAL_GROWTH } from '../family/growth.ts';
import { clamp } from '../numbers/clamp.ts';

/** A growth that comes near to given shades, and the shades that it does not meet exactly. */
export interface FittedGrowth {
  /** Index of the base. */
  readonly base: number;
  readonly growth: LightnessGrowth;
  readonly handSet: Readonly<Record<string, string>>;
}

const isOpaque = (color: string) => readColor(color).alpha === 1;
/** A setting of growth that was measured, within its range and in short figures. */
const withinRange = (v: number, low: number, high: number): number =>
  Math.round(clamp(v, low, high) * 1000) / 1000;

/** The growths that are tried for a base. */
function growthsFor(labels: readonly string[], rgbs: readonly Triple[], base: number): LightnessGrowth[] {
  const [light, dark, own] = [0, rgbs.length - 1, base].map((i) => rgb8ToOklch(...rgbs[i]!)) as [
    Triple,
    Triple,
    Triple,
  ];
  const chroma = own[1] > 0.01 ? (light[1] + dark[1]) / 2 / own[1] : USUAL_GROWTH.endChroma;
  const measured = {
    ...USUAL_GROWTH,
    labels: [...labels],
    lightest: withinRange(light[0], 0.5, 1),
    darkest: withinRange(dark[0], 0, 0.5),
    endChroma: withinRange(chroma, 0, 1.5),
  };
  return [
    { ...USUAL_GROWTH, labels: [...labels] },
    measured,
    { ...measured, endChroma: USUAL_GROWTH.endChroma },
  ];
}

/**
 * The base and growth by even lightness that need the fewest shades set by hand to come to given colours exactly.
 * Labels and colours lightest first; `bases` are the indexes that the base may have, likeliest first. One that growth
 * puts at its own place is taken before one that it does not.
 */
export function fitGrowth(
  labels: readonly string[],
  colors: readonly string[],
  bases: readonly number[],
): FittedGrowth {
  const rgbs = colors.map((color) => toRgb8(readColor(color)));
  let best: { fitted: FittedGrowth; cost: number } | null = null;
  for (const base of bases)
    for (const growth of growthsFor(labels, rgbs, base)) {
      const handSet: Record<string, string> = {};
      const shades = growShades(fromRgb8(...rgbs[base]!), growth);
      shades.forEach((shade, i) => {
        const [r, g, b] = rgbs[i]!;
        if (shade.r !== r || shade.g !== g || shade.b !== b || !isOpaque(colors[i]!))
          handSet[shade.label] = colors[i]!;
      });
      const atHome = shades[base]!.isBase;
      const cost = Object.keys(handSet).length + (atHome ? 0 : colors.length);
      if (!best || cost < best.cost) best = { fitted: { base, growth, handSet }, cost };
    }
  return best!.fitted;
}
