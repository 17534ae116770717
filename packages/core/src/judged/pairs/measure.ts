import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { isLayered, type Pair, requiredOf } from '../../document/pairs/pair.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { type ResolvedRole, recoloredRoles } from '../../system/roles/resolved-role.ts';
import { type Around, aroundOf, type LayeredMeasuring } from './layered.ts';
import type { Measurement } from './measurement.ts';
import { isGradient, type Surface, surfaceAt, surfaceOf } from './surface.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What lies beneath everything in a theme: the project's ground role, opaque over white. */
export function groundOf(system: System, theme: ResolvedTheme): Rgba {
  const id = system.document.ground;
  const color = id === null ? null : theme.roles.get(id)?.color;
  return color ? paintedOver(color, WHITE) : WHITE;
}

/**
 * Measures a pair in a theme: the background over the theme's ground, what lies on it and its veil over that, then the
 * foreground, each composited in paint order; then the WCAG ratio against the pair's target, at the worst place. What a
 * gradient paints is worst somewhere along its whole line.
 */
export function measurePair(
  system: System,
  theme: ResolvedTheme,
  pair: Pair,
  layers: LayeredMeasuring | null,
): Measurement {
  const front = surfaceOf(theme, pair.foreground);
  const back = surfaceOf(theme, pair.background);
  return measureSurfaces(theme, pair, front, back, groundOf(system, theme), aroundOf(system), layers);
}

/** {@link measurePair} with another colour on one side, as it would be. */
export function measureWith(
  system: System,
  theme: ResolvedTheme,
  pair: Pair,
  side: 'foreground' | 'background',
  color: Rgba,
  layers: LayeredMeasuring | null,
): Measurement {
  const front = side === 'foreground' ? color : surfaceOf(theme, pair.foreground);
  const back = side === 'background' ? color : surfaceOf(theme, pair.background);
  return measureSurfaces(theme, pair, front, back, groundOf(system, theme), aroundOf(system), layers);
}

function measureSurfaces(
  theme: ResolvedTheme,
  pair: Pair,
  front: Surface | null,
  back: Surface | null,
  beneath: Rgba,
  around: Around,
  layers: LayeredMeasuring | null,
): Measurement {
  const required = requiredOf(pair);
  const id = theme.theme.id;
  if (!front || !back) return unmeasured(pair, id, required, false);
  if (!isLayered(pair) && !isGradient(front) && !isGradient(back)) {
    const ground = paintedOver(back, beneath);
    const text = paintedOver(front, ground);
    const ratio = contrastRatio(text, ground);
    const passes = reaches(ratio, required);
    return { pair, theme: id, text, ground, ratio, required, passes, over: null, awaited: false };
  }
  const measured = layers?.measure(pair, front, back, beneath, theme, around) ?? 'awaited';
  return typeof measured === 'string' ? unmeasured(pair, id, required, measured === 'awaited') : measured;
}

const unmeasured = (pair: Pair, theme: string, required: number, awaited: boolean): Measurement => ({
  pair,
  theme,
  text: null,
  ground: null,
  ratio: 0,
  required,
  passes: false,
  over: null,
  awaited,
});

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

/** The places of the roles of each pair among the roles of a theme; -1 where one is gone. */
interface RolePlaces {
  readonly index: ReadonlyMap<string, number>;
  readonly front: Int32Array;
  readonly back: Int32Array;
}

const inRoles = new WeakMap<readonly Pair[], RolePlaces>();

function rolePlaces(pairs: readonly Pair[], index: ReadonlyMap<string, number>): RolePlaces {
  let places = inRoles.get(pairs);
  if (places?.index !== index) {
    places = {
      index,
      front: Int32Array.from(pairs, ({ foreground }) => index.get(foreground) ?? -1),
      back: Int32Array.from(pairs, ({ background }) => index.get(background) ?? -1),
    };
    inRoles.set(pairs, places);
  }
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

const painted = new WeakMap<ResolvedTheme['roles'], readonly string[]>();

/** The ids of some roles of a theme. */
function idsWhere(roles: ResolvedTheme['roles'], is: (role: ResolvedRole) => boolean): string[] {
  const ids: string[] = [];
  for (const one of roles.values()) if (is(one)) ids.push(one.role.id);
  return ids;
}

/** The roles that gradients paint in a theme. */
export function gradientRolesOf({ roles }: ResolvedTheme): readonly string[] {
  let ids = painted.get(roles);
  if (!ids) {
    ids = idsWhere(roles, ({ gradient }) => gradient !== null);
    painted.set(roles, ids);
  }
  return ids;
}

/** The roles through which what lies beneath is seen in a theme. */
const translucentRolesOf = ({ roles, gradients }: ResolvedTheme): readonly string[] =>
  idsWhere(roles, ({ color, gradient }) => {
    if (gradient === null) return color !== null && color.alpha < 1;
    return gradients.get(gradient)?.colors.some((one) => one && one.alpha < 1) ?? false;
  });

/** The gradient that paints a role in a theme: the same object for as long as it is the same. */
function paints({ roles, gradients }: ResolvedTheme, role: string): object | undefined {
  const gradient = roles.get(role)?.gradient;
  return gradient ? gradients.get(gradient) : undefined;
}

const NOWHERE: ReadonlyMap<string, readonly number[]> = new Map();
const isCounted = (m: Measurement | undefined) => m?.passes === true && !m.pair.exempt;
const countPassing = (list: readonly Measurement[]) => list.reduce((n, m) => n + (isCounted(m) ? 1 : 0), 0);

/** Some places of a list, each once. */
class Marked {
  readonly places: number[] = [];
  private readonly is: Uint8Array;

  constructor(length: number) {
    this.is = new Uint8Array(length);
  }

  add(place: number): void {
    if (this.is[place]) return;
    this.is[place] = 1;
    this.places.push(place);
  }
}

/** Pairs that are measured between two stops. */
const AT_A_TIME = 50;

/** What themes came to that were measured ahead. */
const ahead = new WeakMap<ResolvedTheme, MeasuredTheme>();

/**
 * Measures a whole system, layered pairs too, in many parts, so that it can be done a little at a time;
 * {@link measureThemeInParts} takes it over once it is given the same `layers`.
 */
export function* measuredAhead(system: System, layers: LayeredMeasuring): Generator<void, void> {
  for (const theme of system.themes.values()) {
    for (const role of gradientRolesOf(theme)) {
      layers.prepare(surfaceOf(theme, role));
      yield;
    }
    ahead.set(theme, yield* measuredParts(system, theme, layers));
  }
}

function* measuredParts(
  system: System,
  theme: ResolvedTheme,
  layers: LayeredMeasuring | null,
): Generator<void, MeasuredTheme> {
  const { pairs } = system.document;
  const around = aroundOf(system);
  const beneath = groundOf(system, theme);
  const { front, back } = rolePlaces(pairs, theme.roles.index);
  const measurements: Measurement[] = [];
  for (const [i, pair] of pairs.entries()) {
    const [text, ground] = [surfaceAt(theme, front[i]!), surfaceAt(theme, back[i]!)];
    measurements.push(measureSurfaces(theme, pair, text, ground, beneath, around, layers));
    if (i % AT_A_TIME === AT_A_TIME - 1) yield;
  }
  return { theme, pairs, beneath, measurements, passing: countPassing(measurements) };
}

/** What a theme came to ahead, which is taken over once. */
function takeAhead(theme: ResolvedTheme, pairs: readonly Pair[]): MeasuredTheme | undefined {
  const made = ahead.get(theme);
  ahead.delete(theme);
  return made?.pairs === pairs ? made : undefined;
}

/**
 * Measures a theme of a system, with a stop after some pairs; given what it came to before, only the pairs that a change
 * has touched.
 */
export function* measureThemeInParts(
  system: System,
  theme: ResolvedTheme,
  layers: LayeredMeasuring | null,
  earlier?: MeasuredTheme,
): Generator<void, MeasuredTheme> {
  const { pairs } = system.document;
  const before = (layers && takeAhead(theme, pairs)) ?? earlier;
  if (!before) return yield* measuredParts(system, theme, layers);
  const around = aroundOf(system);
  const beneath = groundOf(system, theme);
  const sameBeneath = sameColor(before.beneath, beneath);
  const samePairs = pairs === before.pairs;
  const known = samePairs ? before.measurements : moved(pairs, before);
  const recolored = recoloredRoles(before.theme.roles, theme.roles);
  const ofGradients = gradientRolesOf(theme);
  const isAny = recolored.length || ofGradients.length || !sameBeneath;
  const byRole = isAny ? pairsByRole(pairs) : NOWHERE;
  const touched = new Marked(pairs.length);
  for (const role of recolored) for (const place of byRole.get(role) ?? []) touched.add(place);
  if (!sameBeneath)
    for (const role of translucentRolesOf(theme))
      for (const place of byRole.get(role) ?? []) touched.add(place);
  if (layers) {
    for (const place of layeredPlaces(pairs))
      if (known[place] && layers.isStale(theme, known[place], around)) touched.add(place);
    for (const role of ofGradients) {
      const isOther = paints(theme, role) !== paints(before.theme, role);
      for (const place of byRole.get(role) ?? [])
        if (isOther || (known[place] && !known[place].over)) touched.add(place);
    }
  }
  if (samePairs && !touched.places.length)
    return before.theme === theme && sameBeneath ? before : { ...before, theme, beneath };
  const measurements = samePairs ? [...known] : (known as Measurement[]);
  let { passing } = before;
  const { front, back } = rolePlaces(pairs, theme.roles.index);
  for (const [i, place] of touched.places.entries()) {
    const text = surfaceAt(theme, front[place]!);
    const ground = surfaceAt(theme, back[place]!);
    const now = measureSurfaces(theme, pairs[place]!, text, ground, beneath, around, layers);
    passing += Number(isCounted(now)) - Number(isCounted(measurements[place]));
    measurements[place] = now;
    if (i % AT_A_TIME === AT_A_TIME - 1) yield;
  }
  if (samePairs) return { theme, pairs, beneath, measurements, passing };
  for (let i = 0; i < pairs.length; i++) {
    if (measurements[i]) continue;
    const [text, ground] = [surfaceAt(theme, front[i]!), surfaceAt(theme, back[i]!)];
    measurements[i] = measureSurfaces(theme, pairs[i]!, text, ground, beneath, around, layers);
    if (i % AT_A_TIME === AT_A_TIME - 1) yield;
  }
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
