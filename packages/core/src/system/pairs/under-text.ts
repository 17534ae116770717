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
import { alongLine, type LineColor, someOf } from './line-colors.ts';
import type { UnderText } from './measurement.ts';
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
  return seen ? { seen, area, source: seen } : 'awaited';
}

/** Colours of a line that a text is taken in, and of one that lies under a backdrop. */
const TEXT_COLORS = 128;
const BENEATH_COLORS = 9;

/** Grounds of several kinds as one. */
function together(parts: readonly Grounds[]): Grounds {
  if (parts.length === 1) return parts[0]!;
  const joined = <T extends Float64Array | Uint32Array>(
    make: (values: number[]) => T,
    of: (part: Grounds) => T,
  ) => make(parts.flatMap((part) => [...of(part)]));
  return {
    colors: parts.flatMap(({ colors }) => colors),
    luminances: joined(
      (values) => Float64Array.from(values),
      ({ luminances }) => luminances,
    ),
    counts: joined(
      (values) => Uint32Array.from(values),
      ({ counts }) => counts,
    ),
    at: joined(
      (values) => Uint32Array.from(values),
      ({ at }) => at,
    ),
    pixels: parts.reduce((n, { pixels }) => n + pixels, 0),
  };
}

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
    const area = { x: 0, y: 0, width: line.places.length, height: 1 };
    const bare: UnderText = { seen: line.seen, area, source: ground.gradient };
    return { grounds: groundsUnder(line.seen, beneath, veil), bare, places: line.places };
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
    grounds: together(colors.map((color) => groundsUnder(bare.seen, color, veil))),
    bare,
    places: null,
  };
}

/** What a pair is measured from, the roles' own colours aside. */
function sourcesOf(
  pair: Pair,
  theme: ResolvedTheme,
  around: Around,
  surfaces: readonly (Surface | null)[],
): readonly object[] {
  const bare = pair.backdrop && underText(theme, pair.backdrop, around);
  return [
    ...(bare && typeof bare !== 'string' ? [bare.source] : []),
    ...surfaces.flatMap((surface) => (surface?.kind === 'gradient' ? [surface.gradient] : [])),
  ];
}

/** Measures texts over gradients, pictures and veils, and what gradients paint, at the worst place of all. */
export const underTexts: LayeredMeasuring = {
  measure(pair, { text, ground, beneath }, theme, around) {
    const stands = standsOn(pair, theme, { ground, beneath }, around);
    if (typeof stands === 'string') return stands;
    const { grounds, bare, places } = stands;
    const required = requiredOf(pair);
    const line = text.kind === 'gradient' ? alongLine(text.gradient) : null;
    if (text.kind === 'gradient' && !line) return 'gone';
    const texts: LineColor[] =
      text.kind === 'color' ? [{ color: text.color, at: 0, weight: 1 }] : someOf(line!.seen, TEXT_COLORS);
    const found = texts.map(({ color, at, weight }) => ({
      color,
      own: at,
      weight,
      worst: worstOnGrounds(color, grounds, required),
    }));
    const { color, own, worst } = found.reduce((a, b) => (b.worst.ratio < a.worst.ratio ? b : a));
    const { x, y, width } = bare?.area ?? { x: 0, y: 0, width: 1 };
    return {
      text: paintedOver(color, worst.ground),
      ground: worst.ground,
      ratio: worst.ratio,
      passes: reaches(worst.ratio, required),
      over: {
        grounds,
        bare,
        failing:
          found.reduce((sum, one) => sum + one.worst.failing * one.weight, 0) /
          found.reduce((sum, one) => sum + one.weight, 0),
        worst: { x: x + (worst.at % width) + 0.5, y: y + Math.floor(worst.at / width) + 0.5 },
        along: places?.[worst.at] ?? line?.places[own] ?? null,
        sources: sourcesOf(pair, theme, around, [ground, text]),
      },
    };
  },

  isStale(theme, { pair, over }, around) {
    if (!over) return true;
    const surfaces = [surfaceOf(theme, pair.background), surfaceOf(theme, pair.foreground)];
    const now = sourcesOf(pair, theme, around, surfaces);
    return now.length !== over.sources.length || now.some((source, i) => source !== over.sources[i]);
  },
};
