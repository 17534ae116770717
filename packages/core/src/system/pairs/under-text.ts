import {
  type Grounds,
  groundAt,
  groundsUnder,
  oneGround,
  shareFailing,
  togetherAs,
  type WorstOfGrounds,
  worstOnGrounds,
  worstRatioOnGrounds,
} from '../../contrast/over-colors.ts';
import { luminance, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { areaWithin } from '../../gradient/area.ts';
import { type Covered, colorsAt, coveredBy } from '../../gradient/covered.ts';
import { paintIn } from '../../gradient/geometry.ts';
import type { Gradient } from '../gradients/gradient.ts';
import { paintedGradient, type ResolvedGradient } from '../gradients/resolved-gradient.ts';
import type { ResolvedTheme } from '../resolve/resolve.ts';
import type { Backdrop } from './backdrop.ts';
import type { Around, LayeredMeasuring } from './layered.ts';
import { alongLine, type LineColor, someOf } from './line-colors.ts';
import type { Measurement, OverArea, UnderText } from './measurement.ts';
import { type Pair, requiredOf } from './pair.ts';
import { regionOf } from './regions.ts';
import { type Surface, surfaceOf } from './surface.ts';

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
  if (seen === null) return 'gone';
  return seen ? { seen, area, source: seen } : 'awaited';
}

/** Colours of a line that a text is taken in, and of one that lies under a backdrop. */
const TEXT_COLORS = 128;
const BENEATH_COLORS = 9;

interface StandsOn {
  readonly grounds: Grounds;
  readonly bare: UnderText | null;
  /** The line of the gradient that is the ground itself. */
  readonly places: readonly number[] | null;
}

/** The colours that a ground role comes to, opaque; more than one where a gradient paints it. Null where it has none. */
function groundColors(ground: Surface, beneath: Rgba): Rgba[] | null {
  if (ground.kind === 'color') return [paintedOver(ground.color, beneath)];
  const line = alongLine(ground.gradient);
  return line && someOf(line.seen, BENEATH_COLORS).map(({ color }) => paintedOver(color, beneath));
}

/** What the text of a pair stands on, where that is more than one role's colour. */
function standsOn(
  pair: Pair,
  theme: ResolvedTheme,
  { ground, beneath }: { readonly ground: Surface; readonly beneath: Rgba },
  around: Around,
): StandsOn | 'gone' | 'awaited' {
  const veil = pair.veil === undefined ? null : theme.roles.get(pair.veil)?.color;
  if (veil === undefined || (pair.veil !== undefined && !veil)) return 'gone';
  if (!pair.backdrop && ground.kind === 'gradient') {
    const line = alongLine(ground.gradient);
    if (!line) return 'gone';
    return { grounds: groundsUnder(line.seen, beneath, veil), bare: line.bare, places: line.places };
  }
  const colors = groundColors(ground, beneath);
  if (!colors) return 'gone';
  if (!pair.backdrop) {
    const [color] = colors;
    return { grounds: oneGround(veil ? paintedOver(veil, color!) : color!), bare: null, places: null };
  }
  const bare = underText(theme, pair.backdrop, around);
  if (typeof bare === 'string') return bare;
  return {
    grounds: togetherAs(colors.map((color) => groundsUnder(bare.seen, color, veil))),
    bare,
    places: null,
  };
}

/** What a pair is measured from, the roles' own colours aside; null where it is gone or of one colour. */
function sourceUnder(pair: Pair, theme: ResolvedTheme, around: Around): object | null {
  const bare = pair.backdrop && underText(theme, pair.backdrop, around);
  return bare && typeof bare !== 'string' ? bare.source : null;
}
const sourceOf = (surface: Surface | null) => (surface?.kind === 'gradient' ? surface.gradient : null);

/** The worst of all colours of a text on all that it stands on. */
interface WorstOfTexts {
  /** Painted, opaque. */
  readonly text: Rgba;
  readonly ground: Rgba;
  readonly ratio: number;
  /** Index of the text's colour along its line. */
  readonly own: number;
  /** Index of the pixel of what it stands on. */
  readonly at: number;
}

const asGrounds = new WeakMap<readonly LineColor[], Grounds | null>();

/** The colours of a text as grounds, which they are to the one colour that they stand on; null where one is translucent. */
function textsAsGrounds(texts: readonly LineColor[]): Grounds | null {
  let grounds = asGrounds.get(texts);
  if (grounds === undefined) {
    grounds = texts.every(({ color }) => color.alpha === 1)
      ? {
          rgb: Uint8Array.from(texts.flatMap(({ color: { r, g, b } }) => [r, g, b])),
          luminances: Float64Array.from(texts, ({ color }) => luminance(color)),
          counts: Uint32Array.from(texts, ({ weight }) => weight),
          at: Uint32Array.from(texts, ({ at }) => at),
          pixels: texts.reduce((sum, { weight }) => sum + weight, 0),
        }
      : null;
    asGrounds.set(texts, grounds);
  }
  return grounds;
}

function worstOfTexts(texts: readonly LineColor[], grounds: Grounds): WorstOfTexts {
  const swapped = grounds.counts.length === 1 && texts.length > 1 ? textsAsGrounds(texts) : null;
  if (swapped) {
    // A ratio is the same in either order, so the many can be looked through as one.
    const ground = groundAt(grounds, 0);
    const { ground: text, at: own, ratio } = worstOnGrounds(ground, swapped);
    return { text, ground, ratio, own, at: grounds.at[0]! };
  }
  let worst: WorstOfGrounds | null = null;
  let of = texts[0]!;
  for (const one of texts) {
    const found = worstOnGrounds(one.color, grounds);
    if (worst && found.ratio >= worst.ratio) continue;
    worst = found;
    of = one;
  }
  const { ground, ratio, at } = worst!;
  return { text: paintedOver(of.color, ground), ground, ratio, own: of.at, at };
}

/** The share on which texts fall short, 0–1: by length of the text's line, and by area of what it stands on. */
function failingShare(texts: readonly LineColor[], grounds: Grounds, required: number): number {
  const swapped = grounds.counts.length === 1 && texts.length > 1 ? textsAsGrounds(texts) : null;
  if (swapped) return shareFailing(groundAt(grounds, 0), swapped, required);
  let [failing, weights] = [0, 0];
  for (const { color, weight } of texts) {
    failing += shareFailing(color, grounds, required) * weight;
    weights += weight;
  }
  return failing / weights;
}

/** The worst ratio alone; see {@link worstOfTexts}. */
function worstRatio(texts: readonly LineColor[], grounds: Grounds): number {
  const swapped = grounds.counts.length === 1 && texts.length > 1 ? textsAsGrounds(texts) : null;
  if (swapped) return worstRatioOnGrounds(groundAt(grounds, 0), swapped);
  let least = Number.POSITIVE_INFINITY;
  for (const { color } of texts) least = Math.min(least, worstRatioOnGrounds(color, grounds));
  return least;
}

/**
 * A text over what is not one colour. There may be a hundred thousand of these, of which a few are looked at: so all but
 * the ratio is worked out when it is asked for.
 */
class LayeredMeasurement implements Measurement, OverArea {
  readonly pair: Pair;
  readonly theme: string;
  readonly required: number;
  readonly ratio: number;
  readonly passes: boolean;
  readonly awaited = false;
  readonly sources: OverArea['sources'];
  private readonly stands: StandsOn;
  private readonly texts: readonly LineColor[];
  private readonly line: readonly number[] | null;
  private found: WorstOfTexts | null = null;

  constructor(
    pair: Pair,
    theme: string,
    stands: StandsOn,
    texts: readonly LineColor[],
    line: readonly number[] | null,
    sources: OverArea['sources'],
  ) {
    this.pair = pair;
    this.theme = theme;
    this.required = requiredOf(pair);
    this.ratio = worstRatio(texts, stands.grounds);
    this.passes = reaches(this.ratio, this.required);
    this.sources = sources;
    this.stands = stands;
    this.texts = texts;
    this.line = line;
  }

  private get place(): WorstOfTexts {
    this.found ??= worstOfTexts(this.texts, this.stands.grounds);
    return this.found;
  }

  get text(): Rgba {
    return this.place.text;
  }
  get ground(): Rgba {
    return this.place.ground;
  }
  get over(): OverArea {
    return this;
  }
  get grounds(): Grounds {
    return this.stands.grounds;
  }
  get bare(): UnderText | null {
    return this.stands.bare;
  }
  get along(): number | null {
    const { at, own } = this.place;
    return this.stands.places?.[at] ?? this.line?.[own] ?? null;
  }
  get failing(): number {
    return failingShare(this.texts, this.grounds, this.required);
  }
  get worst(): { readonly x: number; readonly y: number } {
    const { x, y, width } = this.bare?.area ?? { x: 0, y: 0, width: 1 };
    const { at } = this.place;
    return { x: x + (at % width) + 0.5, y: y + Math.floor(at / width) + 0.5 };
  }
}

/** Measures texts over gradients, pictures and veils, and what gradients paint, at the worst place of all. */
export const underTexts: LayeredMeasuring = {
  measure(pair, { text, ground, beneath }, theme, around) {
    const stands = standsOn(pair, theme, { ground, beneath }, around);
    if (typeof stands === 'string') return stands;
    const line = text.kind === 'gradient' ? alongLine(text.gradient) : null;
    if (text.kind === 'gradient' && !line) return 'gone';
    const texts: readonly LineColor[] =
      text.kind === 'color' ? [{ color: text.color, at: 0, weight: 1 }] : someOf(line!.seen, TEXT_COLORS);
    const sources = {
      under: sourceUnder(pair, theme, around),
      ground: sourceOf(ground),
      text: sourceOf(text),
    };
    return new LayeredMeasurement(pair, theme.theme.id, stands, texts, line?.places ?? null, sources);
  },

  isStale(theme, { pair, over }, around) {
    if (!over) return true;
    const { sources } = over;
    return (
      sourceOf(surfaceOf(theme, pair.background)) !== sources.ground ||
      sourceOf(surfaceOf(theme, pair.foreground)) !== sources.text ||
      sourceUnder(pair, theme, around) !== sources.under
    );
  },
};
