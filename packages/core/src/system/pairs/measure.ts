import { type Grounds, groundsUnder, oneGround, worstOnGrounds } from '../../contrast/over-colors.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import type { ResolvedTheme, System } from '../resolve/resolve.ts';
import { recoloredRoles } from '../roles/resolved-role.ts';
import { isLayered, type Pair, requiredOf } from './pair.ts';
import { NO_REGIONS } from './regions.ts';
import { type Around, type UnderText, underText } from './under-text.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What a pair comes to in one theme. */
export interface Measurement {
  readonly pair: Pair;
  readonly theme: string;
  /** The colours as painted, composited; null when either link is broken. */
  readonly text: Rgba | null;
  readonly ground: Rgba | null;
  /** Ratio 1–21, at the worst place where the ground is not one colour; 0 when a link is broken. */
  readonly ratio: number;
  /** 3, 4.5 or 7; 1 for a pair that is exempt. */
  readonly required: number;
  readonly passes: boolean;
  /** What the text stands on where that is not one role's colour; null else. */
  readonly over: OverArea | null;
  /** Whether the pixels of the picture under it are not there yet, so that nothing is known. */
  readonly awaited: boolean;
}

/** A text over what is not one colour. */
export interface OverArea {
  /** As it is painted under the text, with its veil. */
  readonly grounds: Grounds;
  /** The same without the veil; null where there is no gradient or picture. */
  readonly bare: UnderText | null;
  /** The share of the area on which the text falls short, 0–1. */
  readonly failing: number;
  /** Middle of the worst pixel: px of the gradient's box, or of the picture. */
  readonly worst: { readonly x: number; readonly y: number };
}

/** What lies beneath everything in a theme: the project's ground role, opaque over white. */
export function groundOf(system: System, theme: ResolvedTheme): Rgba {
  const id = system.document.ground;
  const color = id === null ? null : theme.roles.get(id)?.color;
  return color ? paintedOver(color, WHITE) : WHITE;
}

const NOTHING: Around = { pictures: [], regions: NO_REGIONS };

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

/**
 * Measures a pair in a theme: the background over the theme's ground, what lies on it and its veil over that, then the
 * foreground, each composited in paint order; then the WCAG ratio against the pair's target, at the worst place.
 */
export function measurePair(
  theme: ResolvedTheme,
  pair: Pair,
  beneath: Rgba,
  around: Around = NOTHING,
): Measurement {
  const foreground = theme.roles.get(pair.foreground)?.color;
  const background = theme.roles.get(pair.background)?.color;
  const required = requiredOf(pair);
  const id = theme.theme.id;
  const nothing = {
    pair,
    theme: id,
    text: null,
    ground: null,
    ratio: 0,
    required,
    passes: false,
    over: null,
  };
  if (!foreground || !background) return { ...nothing, awaited: false };
  const ground = paintedOver(background, beneath);
  if (!isLayered(pair)) {
    const text = paintedOver(foreground, ground);
    const ratio = contrastRatio(text, ground);
    const passes = reaches(ratio, required);
    return { pair, theme: id, text, ground, ratio, required, passes, over: null, awaited: false };
  }
  const area = overArea(pair, theme, ground, around);
  if (typeof area === 'string') return { ...nothing, awaited: area === 'awaited' };
  const worst = worstOnGrounds(foreground, area.grounds, required);
  const { x, y, width } = area.bare?.area ?? { x: 0, y: 0, width: 1 };
  return {
    pair,
    theme: id,
    text: paintedOver(foreground, worst.ground),
    ground: worst.ground,
    ratio: worst.ratio,
    required,
    passes: reaches(worst.ratio, required),
    over: {
      ...area,
      failing: worst.failing,
      worst: { x: x + (worst.at % width) + 0.5, y: y + Math.floor(worst.at / width) + 0.5 },
    },
    awaited: false,
  };
}

/** Every pair of a document in one theme, in document order, and what it was measured from. */
export interface MeasuredTheme {
  readonly theme: ResolvedTheme;
  readonly pairs: readonly Pair[];
  readonly beneath: Rgba;
  readonly measurements: readonly Measurement[];
  /** Of the pairs that have something to reach, those that do. */
  readonly passing: number;
}

const sameColor = (a: Rgba, b: Rgba) => a.r === b.r && a.g === b.g && a.b === b.b;

// A list of pairs never changes, only its successor does.
const byRole = new WeakMap<readonly Pair[], ReadonlyMap<string, readonly number[]>>();

/** The places of the pairs that each role is in. */
function pairsByRole(pairs: readonly Pair[]): ReadonlyMap<string, readonly number[]> {
  const known = byRole.get(pairs);
  if (known) return known;
  const places = new Map<string, number[]>();
  pairs.forEach(({ foreground, background, veil }, i) => {
    for (const role of veil === undefined ? [foreground, background] : [foreground, background, veil]) {
      const list = places.get(role);
      if (list) list.push(i);
      else places.set(role, [i]);
    }
  });
  byRole.set(pairs, places);
  return places;
}

const layered = new WeakMap<readonly Pair[], readonly number[]>();

/** The places of the pairs that have something between ground and text. */
function layeredPlaces(pairs: readonly Pair[]): readonly number[] {
  let places = layered.get(pairs);
  if (!places) {
    places = pairs.flatMap((pair, i) => (isLayered(pair) ? [i] : []));
    layered.set(pairs, places);
  }
  return places;
}

/** Whether what a text lies on, roles aside, is not what it was measured over. */
function isStale(theme: ResolvedTheme, { pair, over }: Measurement, around: Around): boolean {
  if (!pair.backdrop) return false;
  const now = underText(theme, pair.backdrop, around);
  return typeof now === 'string' || now.source !== over?.bare?.source;
}

const NOWHERE: ReadonlyMap<string, readonly number[]> = new Map();
const isCounted = (m: Measurement | undefined) => m?.passes === true && !m.pair.exempt;
const countPassing = (list: readonly Measurement[]) => list.reduce((n, m) => n + (isCounted(m) ? 1 : 0), 0);

/** Measures a theme of a system; given what it came to before, only the pairs that a change has touched. */
export function measureTheme(system: System, theme: ResolvedTheme, before?: MeasuredTheme): MeasuredTheme {
  const { pairs, pictures } = system.document;
  const around: Around = { pictures, regions: system.regions };
  const beneath = groundOf(system, theme);
  if (!before || !sameColor(before.beneath, beneath)) {
    const measurements = pairs.map((pair) => measurePair(theme, pair, beneath, around));
    return { theme, pairs, beneath, measurements, passing: countPassing(measurements) };
  }
  const samePairs = pairs === before.pairs;
  const known = samePairs ? before.measurements : moved(pairs, before);
  const recolored = recoloredRoles(before.theme.roles, theme.roles);
  const byRole = recolored.length ? pairsByRole(pairs) : NOWHERE;
  const touched = new Set(recolored.flatMap((role) => byRole.get(role) ?? []));
  for (const place of layeredPlaces(pairs))
    if (known[place] && isStale(theme, known[place], around)) touched.add(place);
  if (samePairs && !touched.size) return before.theme === theme ? before : { ...before, theme };
  const measurements = samePairs ? [...known] : (known as Measurement[]);
  let { passing } = before;
  for (const place of touched) {
    const now = measurePair(theme, pairs[place]!, beneath, around);
    passing += Number(isCounted(now)) - Number(isCounted(measurements[place]));
    measurements[place] = now;
  }
  if (samePairs) return { theme, pairs, beneath, measurements, passing };
  for (let i = 0; i < pairs.length; i++) measurements[i] ??= measurePair(theme, pairs[i]!, beneath, around);
  return { theme, pairs, beneath, measurements, passing: countPassing(measurements) };
}

/** The old measurements at the places that their pairs have now; a hole where a pair is new or changed. */
function moved(pairs: readonly Pair[], before: MeasuredTheme): Measurement[] {
  const out = new Array<Measurement>(pairs.length);
  let places: Map<Pair, number> | undefined;
  for (let i = 0; i < pairs.length; i++) {
    const pair = pairs[i]!;
    if (before.pairs[i] === pair) out[i] = before.measurements[i]!;
    else {
      places ??= new Map(before.pairs.map((old, at) => [old, at]));
      const at = places.get(pair);
      if (at !== undefined) out[i] = before.measurements[at]!;
    }
  }
  return out;
}
