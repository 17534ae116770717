import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import type { GrownShade } from '@mint-lamp/core/family/growth';

/** A step on the curves of a growth. */
export interface CurveStep {
  readonly label: string;
  readonly isBase: boolean;
  readonly hex: string;
  /** OKLCH lightness in percent. */
  readonly lightness: number;
  /** OKLCH chroma. */
  readonly chroma: number;
  /** Degrees of hue from the base's; 0 where there is no hue to be seen. */
  readonly turn: number;
}

/** OKLCH chroma below which a hue is noise. */
const NO_HUE = 0.004;

/** The curves of a growth by its shades, in their order. */
export function curvesOf(shades: readonly GrownShade[]): CurveStep[] {
  const base = shades.find(({ isBase }) => isBase) ?? shades[0]!;
  const [, baseC, baseH] = rgb8ToOklch(base.r, base.g, base.b);
  return shades.map(({ label, isBase, hex, r, g, b }) => {
    const [l, chroma, h] = rgb8ToOklch(r, g, b);
    const turn = chroma < NO_HUE || baseC < NO_HUE ? 0 : ((h - baseH + 540) % 360) - 180;
    return { label, isBase, hex, lightness: l * 100, chroma, turn };
  });
}
