import { findTwins, type Twins } from '../color/difference.ts';
import { rgbToOklab } from '../color/kernel.ts';
import { contrastRatio, type Rgba } from '../contrast/ratio.ts';
import { visionTwins } from '../vision/simulate.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };
const BLACK: Rgba = { r: 0, g: 0, b: 0, alpha: 1 };

/** Two colours by their places in a list. */
interface TwoColors {
  readonly a: number;
  readonly b: number;
}

/** What a designer must know of some opaque colours before taking them. */
export interface ColorFacts {
  /** The WCAG ratio of each with white and with black: as text on it, or it under such text. */
  readonly onWhite: readonly number[];
  readonly onBlack: readonly number[];
  /** Those that can hardly be told apart by anyone (ΔE OK under 0.02), most alike first. */
  readonly twins: readonly Twins[];
  /** Those that can be told apart, but hardly without red-green vision (protan or deutan, severity 1). */
  readonly redGreen: readonly TwoColors[];
}

/** See {@link ColorFacts}. */
export function factsOf(colors: readonly Rgba[]): ColorFacts {
  const twins = findTwins(colors.map(({ r, g, b }) => rgbToOklab(r, g, b)));
  const seen = new Set<string>();
  const redGreen = visionTwins(colors)
    .filter(({ deficiency }) => deficiency === 'protan' || deficiency === 'deutan')
    .map(({ a, b }) => ({ a: Math.min(a, b), b: Math.max(a, b) }))
    .filter(({ a, b }) => {
      const key = `${a} ${b}`;
      return !seen.has(key) && seen.add(key);
    });
  return {
    onWhite: colors.map((color) => contrastRatio(color, WHITE)),
    onBlack: colors.map((color) => contrastRatio(color, BLACK)),
    twins,
    redGreen,
  };
}
