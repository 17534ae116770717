import { type Grounds, groundsUnder, oneGround, worstOnGrounds } from '../../contrast/over-colors.ts';
import { paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { areaWithin } from '../../gradient/area.ts';
import { type Covered, colorsAt, coveredBy } from '../../gradient/covered.ts';
import { paintIn } from '../../gradient/geometry.ts';
import type { Gradient } from '../gradients/gradient.ts';
import { paintedGradient, type ResolvedGradient } from '../gradients/resolved-gradient.ts';
import type { ResolvedTheme } from '../resolve/resolve.ts';
import type { Backdrop } from './backdrop.ts';
import type { Around, LayeredMeasuring } from './layered.ts';
import type { UnderText } from './measurement.ts';
import { type Pair, requiredOf } from './pair.ts';
import { regionOf } from './regions.ts';

const covered = new WeakMap<Gradient, Map<string, Covered>>();
const colored = new WeakMap<ResolvedGradient, Map<string, UnderText>>();

function from<K extends object, T>(memory: WeakMap<K, Map<string, T>>, of: K, key: string, make: () => T): T {
  let known = memory.get(of);
  if (!known) {
    known = new Map();
    memory.set(of, known);
  }
  let value = known.get(key);
  if (value === undefined) {
    value = make();
    known.set(key, value);
  }
  return value;
}

/** The colours of a gradient under a text, as Chromium paints them; null where none of its stops has a colour. */
function underGradient(
  resolved: ResolvedGradient,
  { width, height, text }: Extract<Backdrop, { kind: 'gradient' }>,
): UnderText | null {
  const painted = paintedGradient(resolved);
  if (!painted) return null;
  const area = areaWithin(text, width, height);
  const key = [width, height, area.x, area.y, area.width, area.height].join(' ');
  return from(colored, resolved, key, () => {
    const painter = paintIn(painted, { width, height });
    // Which pixels have to be looked at does not change with the colours.
    const pixels = from(covered, resolved.gradient, `${key} ${painted.stops.length}`, () =>
      coveredBy(painter, area),
    );
    return { seen: colorsAt(painter, pixels), area, source: resolved };
  });
}

/** What a text of a theme has under it; says why not: what it lies on is gone, or its pixels are not there yet. */
function underText(
  theme: ResolvedTheme,
  backdrop: Backdrop,
  { pictures, regions }: Around,
): UnderText | 'gone' | 'awaited' {
  if (backdrop.kind === 'gradient') {
    const resolved = theme.gradients.get(backdrop.gradient);
    return (resolved && underGradient(resolved, backdrop)) ?? 'gone';
  }
  const picture = pictures.find(({ id }) => id === backdrop.picture);
  if (!picture) return 'gone';
  const { key, area } = regionOf(picture, backdrop.text);
  const seen = regions.get(key);
  return seen ? { seen, area, source: seen } : 'awaited';
}

/** What the text of a layered pair stands on. */
function overArea(
  pair: Pair,
  theme: ResolvedTheme,
  ground: Rgba,
  around: Around,
): { readonly grounds: Grounds; readonly bare: UnderText | null } | 'gone' | 'awaited' {
  const veil = pair.veil === undefined ? null : theme.roles.get(pair.veil)?.color;
  if (veil === undefined || (pair.veil !== undefined && !veil)) return 'gone';
  if (!pair.backdrop) return { grounds: oneGround(veil ? paintedOver(veil, ground) : ground), bare: null };
  const bare = underText(theme, pair.backdrop, around);
  return typeof bare === 'string' ? bare : { grounds: groundsUnder(bare.seen, ground, veil), bare };
}

/** Measures texts over gradients, pictures and veils, at the worst place of all that they cover. */
export const underTexts: LayeredMeasuring = {
  measure(pair, { text, ground }, theme, around) {
    const area = overArea(pair, theme, ground, around);
    if (typeof area === 'string') return area;
    const required = requiredOf(pair);
    const worst = worstOnGrounds(text, area.grounds, required);
    const { x, y, width } = area.bare?.area ?? { x: 0, y: 0, width: 1 };
    return {
      text: paintedOver(text, worst.ground),
      ground: worst.ground,
      ratio: worst.ratio,
      passes: reaches(worst.ratio, required),
      over: {
        ...area,
        failing: worst.failing,
        worst: { x: x + (worst.at % width) + 0.5, y: y + Math.floor(worst.at / width) + 0.5 },
      },
    };
  },

  isStale(theme, { pair, over }, around) {
    if (!pair.backdrop) return over === null;
    const now = underText(theme, pair.backdrop, around);
    return typeof now === 'string' || now.source !== over?.bare?.source;
  },
};
