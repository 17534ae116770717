import type { SeenColors } from '../../contrast/over-colors.ts';
import { type Area, areaWithin } from '../../gradient/area.ts';
import { type Covered, colorsAt, coveredBy } from '../../gradient/covered.ts';
import { paintIn } from '../../gradient/geometry.ts';
import type { Gradient } from '../gradients/gradient.ts';
import { paintedGradient, type ResolvedGradient } from '../gradients/resolved-gradient.ts';
import type { Picture } from '../pictures/picture.ts';
import type { ResolvedTheme } from '../resolve/resolve.ts';
import type { Backdrop } from './backdrop.ts';
import { type Regions, regionOf } from './regions.ts';

/** What of a project a backdrop is looked up in. */
export interface Around {
  readonly pictures: readonly Picture[];
  readonly regions: Regions;
}

/** The colours of a backdrop under a text. */
export interface UnderText {
  readonly seen: SeenColors;
  /** What the text covers of the gradient's box, or of the picture, px. */
  readonly area: Area;
  /** What they come of: the same object for as long as they are the same. */
  readonly source: object;
}

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
export function underText(
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
