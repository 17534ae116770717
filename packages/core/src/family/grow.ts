import type { Color } from '../color/spaces.ts';
import { luminance } from '../contrast/ratio.ts';
import { type DrawnGrowth, growDrawn } from './drawn.ts';
import { type GrownShade, growShades, type LightnessGrowth } from './growth.ts';
import { growByRecipe, type Recipe } from './recipes.ts';

/**
 * How a family's shades come of its base. The labels run from the lightest shade to the darkest, in every kind. `G` is
 * how a ground is given, where a kind has one.
 */
export type Growth<G = string> = LightnessGrowth | DrawnGrowth | Recipe<G>;

/**
 * The shades of a family, lightest first, whatever the kind of growth; so a label keeps its place when the kind
 * changes, and what points to it still finds a shade. Errors are those of {@link growShades},
 * {@link growDrawn} and {@link growByRecipe}.
 */
export function grow(base: Color, growth: Growth): GrownShade[] {
  if (growth.kind === 'lightness') return growShades(base, growth);
  if (growth.kind === 'drawn') return growDrawn(base, growth);
  const inOrder = growByRecipe(base, growth);
  const light = (shade: GrownShade) => luminance({ ...shade, alpha: 1 });
  if (light(inOrder[0]!) >= light(inOrder[inOrder.length - 1]!)) return inOrder;
  return growByRecipe(base, { ...growth, labels: [...growth.labels].reverse() }).reverse();
}
