import { isLargeText } from '@mint-lamp/core/contrast/targets';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { CastUses } from '@mint-lamp/core/system/scenes/cast';
import type { PartSide, Pressable } from '../../../scene/scene-parts.ts';
import { type Beneath, beneath, groundsOf, placeOf, textsOf } from '../../../scene/text-places.ts';

/** What a part is measured by: a pair of what it really is there, which the project need not have. */
export interface PartPlace {
  readonly pair: Pair;
  /** Which side of it a side of the part is; null where it is neither. */
  readonly sideOf: (side: PartSide) => 'foreground' | 'background' | null;
}

const pairOf = (foreground: string, background: string, more: Partial<Pair>): Pair => ({
  id: 'here',
  foreground,
  background,
  target: { level: 'AA', content: 'graphics' },
  size: 16,
  weight: 400,
  ...more,
});

/** The pair that a part of a laid out scene is, where it stands; null where nothing is measured there. */
export function placeOfPart(
  page: HTMLElement,
  pressed: Pressable,
  uses: CastUses,
  theme: ResolvedTheme,
  scale: number,
): PartPlace | null {
  const grounds = groundsOf(page);
  const text = pressed.words && textsOf(page).find(({ element }) => element === pressed.element);
  if (text) {
    const { box } = text;
    const under = beneath(grounds, uses, theme, box.left + box.width / 2, box.top + box.height / 2);
    const place = placeOf(text, under, uses, theme, scale);
    if (!place) return null;
    const { size, weight, backdrop, veil } = place;
    const pair = pairOf(place.text, place.ground, {
      target: { level: 'AA', content: isLargeText(size, weight) ? 'large' : 'body' },
      size,
      weight,
      ...(backdrop ? { backdrop } : {}),
      ...(veil === null ? {} : { veil }),
      ...(text.use === 'off-text' ? { exempt: { as: 'inactive', reason: 'It is shown disabled.' } } : {}),
    });
    const own = pressed.sides.find(({ side }) => side === 'ground')?.use;
    const isBeneath = own !== undefined && under.ground?.use === own && !under.wide;
    return {
      pair,
      sideOf: (side) =>
        side === 'text' ? 'foreground' : side === 'ground' && isBeneath ? 'background' : null,
    };
  }
  return lineOrFill(pressed, uses, theme, grounds);
}

/** A line against what it stands on, or an area against what is around it. */
function lineOrFill(
  { element, sides }: Pressable,
  uses: CastUses,
  theme: ResolvedTheme,
  grounds: ReturnType<typeof groundsOf>,
): PartPlace | null {
  const own =
    sides.find(({ side }) => side === 'line') ?? sides.find(({ side }) => side === 'ring') ?? sides[0];
  const role = own && uses.get(own.use)?.link;
  if (!own || role?.to !== 'role') return null;
  const box = element.getBoundingClientRect();
  const others = grounds.filter((one) => one.element !== element && !element.contains(one.element));
  const under: Beneath = beneath(others, uses, theme, box.left + box.width / 2, box.top + 1);
  const ground = under.ground?.link;
  if (under.wide || ground?.to !== 'role' || ground.role === role.role) return null;
  return {
    pair: pairOf(role.role, ground.role, {}),
    sideOf: (side) => (side === own.side ? 'foreground' : null),
  };
}
