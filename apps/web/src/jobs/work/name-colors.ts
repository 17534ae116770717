import { toRgb8 } from '@mint-lamp/core/color/gamut';
import { readColor } from '@mint-lamp/core/color/parse';
import { shippedNames } from '@mint-lamp/core/names/names';
import type { Job } from '../job.ts';

/** Each colour with the nearest name in the shipped list. */
const work: Job<readonly string[], (readonly [color: string, name: string])[]> = async (colors) => {
  const names = await shippedNames();
  return colors.map((color) => [color, names.nearest(...toRgb8(readColor(color))).name] as const);
};
export default work;
