import fc from 'fast-check';
import { toRgb8 } from '../color/gamut.ts';
import { readColor } from '../color/parse.ts';
import type { Rgba } from './ratio.ts';

/** A colour of CSS as it is painted, for tests. */
export const rgba = (text: string): Rgba => {
  const c = readColor(text);
  const [r, g, b] = toRgb8(c);
  return { r, g, b, alpha: c.alpha ?? 0 };
};

const channel = fc.integer({ min: 0, max: 255 });
/** Any opaque colour. */
export const anyColor = fc.record({ r: channel, g: channel, b: channel, alpha: fc.constant(1) });
