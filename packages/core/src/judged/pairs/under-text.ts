import {
  type Grounds,
  groundAt,
  groundsUnder,
  oneGround,
  shareFailing,
  shareFailingOfBoth,
  togetherAs,
  type WorstOfBoth,
  type WorstOfGrounds,
  worstOfBoth,
  worstOnGrounds,
  worstRatioOnGrounds,
} from '../../contrast/over-colors.ts';
import { paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import type { Gradient } from '../../document/gradients/gradient.ts';
import type { Backdrop } from '../../document/pairs/backdrop.ts';
import { type Pair, requiredOf } from '../../document/pairs/pair.ts';
import { areaWithin } from '../../gradient/area.ts';
import { type Covered, colorsAt, coveredBy } from '../../gradient/covered.ts';
import { paintIn } from '../../gradient/geometry.ts';
import { paintedGradient, type ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';
import { regionOf } from '../../system/pictures/regions.ts';
import type { ResolvedTheme } from '../../system/resolve.ts';
import type { Around, LayeredMeasuring } from './layered.ts';
import { alongLine, type Line, type LineColor, someOf } from './line-colors.ts';
import type { Measurement, OverArea, UnderText } from './measurement.ts';
import { isGradient, type Surface, surfaceOf } from './surface.ts';

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

/** Colours of a line that a text is taken in where it shows what is beneath, and of one that lies under a backdrop. */
const TEXT_COLORS = 128;
const BENEATH_COLORS = 9;

/** The colours that a ground role comes to, opaque; more than one where a gradient paints it. Null where it has none. */
function groundColors(ground: Surface, beneath: Rgba): Rgba[] | null {
  if (!isGradient(ground)) return [ground.alpha === 1 ? ground : paintedOver(ground, beneath)];
  const line = alongLine(ground);
  return line && someOf(line.seen, BENEATH_COLORS).map(({ color }) => paintedOver(color, beneath));
}

/** What the text of a pair stands on, given what of a backdrop lies under it; null where that is gone. */
function groundsOf(
  pair: Pair,
  ground: Surface,
  beneath: Rgba,
  theme: ResolvedTheme,
  under: UnderText | null,
): Grounds | null {
  const veil = pair.veil === undefined ? null : theme.roles.get(pair.veil)?.color;
  if (veil === undefined || (pair.veil !== undefined && !veil)) return null;
  if (!under && isGradient(ground)) {
    const line = alongLine(ground);
    return line && ((veil ? null : line.grounds) ?? groundsUnder(line.seen, beneath, veil));
  }
  const colors = groundColors(ground, beneath);
  if (!colors) return null;
  if (under) return togetherAs(colors.map((color) => groundsUnder(under.seen, color, veil)));
  const [color] = colors;
  return oneGround(veil ? paintedOver(veil, color!) : color!);
}

/** What a pair is measured from, the roles' own colours aside; null where it is gone or of one colour. */
function sourceUnder(pair: Pair, theme: ResolvedTheme, around: Around): object | null {
  const bare = pair.backdrop && underText(theme, pair.backdrop, around);
  return bare && typeof bare !== 'string' ? bare.source : null;
}
const sourceOf = (surface: Surface | null) => (isGradient(surface) ? surface : null);

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

/** The colours of a text that are looked at one by one. */
const textsOf = (text: Surface): readonly LineColor[] =>
  isGradient(text) ? someOf(alongLine(text)!.seen, TEXT_COLORS) : [{ color: text, at: 0, weight: 1 }];

/** Two lines, of a text and of what it stands on, which may meet in many themes. */
class Meeting {
  readonly worst: WorstOfBoth;
  private readonly shares = new Map<number, number>();

  constructor(text: Grounds, ground: Grounds) {
    this.worst = worstOfBoth(text, ground);
  }

  failing(text: Grounds, ground: Grounds, required: number): number {
    let share = this.shares.get(required);
    if (share === undefined) {
      share = shareFailingOfBoth(text, ground, required);
      this.shares.set(required, share);
    }
    return share;
  }
}

const met = new WeakMap<Grounds, WeakMap<Grounds, Meeting>>();

function meetingOf(text: Grounds, ground: Grounds): Meeting {
  let known = met.get(text);
  if (!known) {
    known = new WeakMap();
    met.set(text, known);
  }
  let meeting = known.get(ground);
  if (!meeting) {
    meeting = new Meeting(text, ground);
    known.set(ground, meeting);
  }
  return meeting;
}

/** The opaque colours along the line of a text, as grounds; null for a text of one colour and for a translucent one. */
const opaqueLineOf = (text: Surface): Grounds | null =>
  isGradient(text) ? (alongLine(text)?.grounds ?? null) : null;

/** The worst ratio alone; see {@link worstOfTexts}. */
function worstRatio(text: Surface, grounds: Grounds): number {
  if (!isGradient(text)) return worstRatioOnGrounds(text, grounds);
  const line = opaqueLineOf(text);
  // A ratio is the same in either order, so the many can be looked through as one.
  if (line && grounds.counts.length === 1) return worstRatioOnGrounds(groundAt(grounds, 0), line);
  if (line) return meetingOf(line, grounds).worst.ratio;
  let least = Number.POSITIVE_INFINITY;
  for (const { color } of textsOf(text)) least = Math.min(least, worstRatioOnGrounds(color, grounds));
  return least;
}

function worstOfTexts(text: Surface, grounds: Grounds): WorstOfTexts {
  const line = opaqueLineOf(text);
  if (line && grounds.counts.length === 1) {
    const ground = groundAt(grounds, 0);
    const { ground: color, at: own, ratio } = worstOnGrounds(ground, line);
    return { text: color, ground, ratio, own, at: grounds.at[0]! };
  }
  if (line) {
    const { ratio, text: own, ground } = meetingOf(line, grounds).worst;
    return {
      text: groundAt(line, own),
      ground: groundAt(grounds, ground),
      ratio,
      own,
      at: grounds.at[ground]!,
    };
  }
  let worst: WorstOfGrounds | null = null;
  let of: LineColor | null = null;
  for (const one of textsOf(text)) {
    const found = worstOnGrounds(one.color, grounds);
    if (worst && found.ratio >= worst.ratio) continue;
    worst = found;
    of = one;
  }
  const { ground, ratio, at } = worst!;
  return { text: paintedOver(of!.color, ground), ground, ratio, own: of!.at, at };
}

/** The share on which a text falls short, 0–1: by length of its line, and by area of what it stands on. */
function failingShare(text: Surface, grounds: Grounds, required: number): number {
  const line = opaqueLineOf(text);
  if (line && grounds.counts.length === 1) return shareFailing(groundAt(grounds, 0), line, required);
  if (line) return meetingOf(line, grounds).failing(line, grounds, required);
  let [failing, weights] = [0, 0];
  for (const { color, weight } of textsOf(text)) {
    failing += shareFailing(color, grounds, required) * weight;
    weights += weight;
  }
  return failing / weights;
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
  readonly grounds: Grounds;
  private readonly front: Surface;
  private readonly back: Surface;
  private readonly under: UnderText | null;
  private found: WorstOfTexts | null = null;

  constructor(
    pair: Pair,
    theme: string,
    front: Surface,
    back: Surface,
    grounds: Grounds,
    under: UnderText | null,
  ) {
    this.pair = pair;
    this.theme = theme;
    this.required = requiredOf(pair);
    this.ratio = worstRatio(front, grounds);
    this.passes = reaches(this.ratio, this.required);
    this.grounds = grounds;
    this.front = front;
    this.back = back;
    this.under = under;
  }

  private get place(): WorstOfTexts {
    this.found ??= worstOfTexts(this.front, this.grounds);
    return this.found;
  }

  /** The line of the gradient that is the ground itself. */
  private get lineUnder(): Line | null {
    return !this.under && isGradient(this.back) ? alongLine(this.back) : null;
  }

  get awaited(): boolean {
    return false;
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
  get bare(): UnderText | null {
    return this.under ?? this.lineUnder?.bare ?? null;
  }
  get along(): number | null {
    const { at, own } = this.place;
    const line = isGradient(this.front) ? alongLine(this.front) : null;
    return this.lineUnder?.places[at] ?? line?.places[own] ?? null;
  }
  get failing(): number {
    return failingShare(this.front, this.grounds, this.required);
  }
  get worst(): { readonly x: number; readonly y: number } {
    const { x, y, width } = this.bare?.area ?? { x: 0, y: 0, width: 1 };
    const { at } = this.place;
    return { x: x + (at % width) + 0.5, y: y + Math.floor(at / width) + 0.5 };
  }
  get sources(): OverArea['sources'] {
    return { under: this.under?.source ?? null, ground: sourceOf(this.back), text: sourceOf(this.front) };
  }
}

/** Measures texts over gradients, pictures and veils, and what gradients paint, at the worst place of all. */
export const underTexts: LayeredMeasuring = {
  measure(pair, text, ground, beneath, theme, around) {
    const under = pair.backdrop ? underText(theme, pair.backdrop, around) : null;
    if (typeof under === 'string') return under;
    if (isGradient(text) && !alongLine(text)) return 'gone';
    const grounds = groundsOf(pair, ground, beneath, theme, under);
    return grounds ? new LayeredMeasurement(pair, theme.theme.id, text, ground, grounds, under) : 'gone';
  },

  prepare(surface) {
    if (isGradient(surface)) alongLine(surface);
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
