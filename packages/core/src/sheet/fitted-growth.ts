import { rgb8ToOklch, toRgb8 } from '../color/gamut.ts';
import { fromRgb8, readColor } from '../color/parse.ts';
import { growShades, type LightnessGrowth, USUAL_GROWTH } from '../family/growth.ts';

/** A growth that comes near to given shades, and the shades that it does not meet exactly. */
export interface FittedGrowth {
  readonly growth: LightnessGrowth;
  readonly handSet: Readonly<Record<string, string>>;
}

const isOpaque = (color: string) => readColor(color).alpha === 1;
const held = (v: number, low: number, high: number) => Math.min(high, Math.max(low, v));

/**
 * The growth by even lightness that needs the fewest shades set by hand to come to given colours exactly. Labels and colours lightest first; `base` is the index of the base among them.
 */
export function fitGrowth(labels: readonly string[], colors: readonly string[], base: number): FittedGrowth {
  const rgbs = colors.map((color) => toRgb8(readColor(color)));
  const ends = [rgbs[0]!, rgbs[rgbs.length - 1]!].map((rgb) => rgb8ToOklch(...rgb));
  const [own] = [rgb8ToOklch(...rgbs[base]!)];
  const round = (v: number) => Math.round(v * 1000) / 1000;
  const measured = {
    ...USUAL_GROWTH,
    labels: [...labels],
    lightest: round(held(ends[0]![0], 0.5, 1)),
    darkest: round(held(ends[1]![0], 0, 0.5)),
    endChroma: round(
      held(own[1] > 0.01 ? (ends[0]![1] + ends[1]![1]) / 2 / own[1] : USUAL_GROWTH.endChroma, 0, 1.5),
    ),
  };
  const candidates: LightnessGrowth[] = [
    { ...USUAL_GROWTH, labels: [...labels] },
    measured,
    { ...measured, endChroma: USUAL_GROWTH.endChroma },
  ];
  const fitted = candidates.map((growth): FittedGrowth => {
    const handSet: Record<string, string> = {};
    growShades(fromRgb8(...rgbs[base]!), growth).forEach((shade, i) => {
      const [r, g, b] = rgbs[i]!;
      if (shade.r !== r || shade.g !== g || shade.b !== b || !isOpaque(colors[i]!))
        handSet[shade.label] = colors[i]!;
    });
    return { growth, handSet };
  });
  const count = ({ handSet }: FittedGrowth) => Object.keys(handSet).length;
  return fitted.reduce((a, b) => (count(b) < count(a) ? b : a));
}
