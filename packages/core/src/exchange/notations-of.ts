import { NOTATIONS } from '../color/notations.ts';
import type { Painted } from '../system/painted.ts';
import { colorOf } from '../system/painted.ts';

/** A colour in every notation of the product, by its id: hex, srgb, hsl, oklch … */
export const notationsOf = (color: Painted): Record<string, string> => {
  const exact = colorOf(color);
  return Object.fromEntries(NOTATIONS.map(({ id, write }) => [id, write(exact)]));
};
