import { maxChroma, oklchToRgb8 } from '../color/gamut.ts';
import { hexOfRgb8 } from '../color/write.ts';

/** One place of a hue ribbon. */
export interface RibbonPlace {
  /** Degrees, 0–360. */
  readonly hue: number;
  /** `#rrggbb`, at the ribbon's lightness and as much of its chroma as sRGB has there. */
  readonly css: string;
  /** How much of the ribbon's chroma sRGB reaches there, 0–1. */
  readonly reach: number;
}

/**
 * All hues as one straight strip at an OKLCH lightness (0–1) and chroma (0 and up), as far as sRGB reaches, at
 * `places` even steps from 0° to 360°, both ends included.
 */
export function hueRibbon(l: number, chroma: number, places = 73): RibbonPlace[] {
  return Array.from({ length: Math.max(2, places) }, (_, i, all = Math.max(2, places) - 1) => {
    const hue = (i / all) * 360;
    const most = maxChroma(l, hue);
    const c = Math.min(chroma, most);
    return {
      hue,
      css: hexOfRgb8(...oklchToRgb8(l, c, hue)),
      reach: chroma > 1e-6 ? Math.min(1, most / chroma) : 1,
    };
  });
}
