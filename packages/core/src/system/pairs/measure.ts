import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import type { ResolvedTheme, System } from '../resolve/resolve.ts';
import { recoloredRoles } from '../roles/resolved-role.ts';
import { type Around, layeredMeasuring } from './layered.ts';
import type { Measurement } from './measurement.ts';
import { isLayered, type Pair, requiredOf } from './pair.ts';
import { NO_REGIONS } from './regions.ts';
import { surfaceOf } from './surface.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What lies beneath everything in a theme: the project's ground role, opaque over white. */
export function groundOf(system: System, theme: ResolvedTheme): Rgba {
  const id = system.document.ground;
  const color = id === null ? null : theme.roles.get(id)?.color;
  return color ? paintedOver(color, WHITE) : WHITE;
}

const NOTHING: Around = { pictures: [], regions: NO_REGIONS };

/**
 * Measures a pair in a theme: the background over the theme's ground, what lies on it and its veil over that, then the
 * foreground, each composited in paint order; then the WCAG ratio against the pair's target, at the worst place. What a
 * gradient paints is worst somewhere along its whole line.
 */
export function measurePair(
  theme: ResolvedTheme,
  pair: Pair,
  beneath: Rgba,
  around: Around = NOTHING,
): Measurement {
  const front = surfaceOf(theme, pair.foreground);
  const back = surfaceOf(theme, pair.background);
  const required = requiredOf(pair);
  const id = theme.theme.id;
  if (!front || !back) return unmeasured(pair, id, required, false);
  if (!isLayered(pair) && front.kind === 'color' && back.kind === 'color') {
    const ground = paintedOver(back.color, beneath);
    const text = paintedOver(front.color, ground);
    const ratio = contrastRatio(text, ground);
    const passes = reaches(ratio, required);
    return { pair, theme: id, text, ground, ratio, required, passes, over: null, awaited: false };
  }
  const surfaces = { text: front, ground: back, beneath };
  const layers = layeredMeasuring()?.measure(pair, surfaces, theme, around) ?? 'awaited';
  return typeof layers === 'string' ? unmeasured(pair, id, required, layers === 'awaited') : layers;
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

/** The roles that gradients paint in a theme. */
export function gradientRolesOf({ roles }: ResolvedTheme): readonly string[] {
  let ids = painted.get(roles);
  if (!ids) {
    ids = roles.values().flatMap(({ role, gradient }) => (gradient === null ? [] : [role.id]));
    painted.set(roles, ids);
  }
  return ids;
}

/** The gradient that paints a role in a theme: the same object for as long as it is the same. */
function paints({ roles, gradients }: ResolvedTheme, role: string): object | undefined {
  const gradient = roles.get(role)?.gradient;
  return gradient ? gradients.get(gradient) : undefined;
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
  const ofGradients = gradientRolesOf(theme);
  const byRole = recolored.length || ofGradients.length ? pairsByRole(pairs) : NOWHERE;
  const touched = new Set(recolored.flatMap((role) => byRole.get(role) ?? []));
  const layers = layeredMeasuring();
  if (layers) {
    for (const place of layeredPlaces(pairs))
      if (known[place] && layers.isStale(theme, known[place], around)) touched.add(place);
    for (const role of ofGradients) {
      const isOther = paints(theme, role) !== paints(before.theme, role);
      for (const place of byRole.get(role) ?? [])
        if (isOther || (known[place] && !known[place].over)) touched.add(place);
    }
  }
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
