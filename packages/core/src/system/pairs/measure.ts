import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { effectiveTarget, requiredRatio } from '../../contrast/targets.ts';
import type { ResolvedTheme, System } from '../resolve/resolve.ts';
import { recoloredRoles } from '../roles/resolved-role.ts';
import type { Pair } from './pair.ts';

const WHITE: Rgba = { r: 255, g: 255, b: 255, alpha: 1 };

/** What a pair comes to in one theme. */
export interface Measurement {
  readonly pair: Pair;
  readonly theme: string;
  /** The colours as painted, composited; null when either link is broken. */
  readonly text: Rgba | null;
  readonly ground: Rgba | null;
  /** Ratio 1–21, 0 when a link is broken. */
  readonly ratio: number;
  readonly required: number;
  readonly passes: boolean;
}

/** What lies beneath everything in a theme: the project's ground role, opaque over white. */
export function groundOf(system: System, theme: ResolvedTheme): Rgba {
  const id = system.document.ground;
  const color = id === null ? null : theme.roles.get(id)?.color;
  return color ? paintedOver(color, WHITE) : WHITE;
}

/**
 * Measures a pair in a theme: the background over the theme's ground, the foreground over that, each
 * composited in paint order, then the WCAG ratio against the pair's target.
 */
export function measurePair(theme: ResolvedTheme, pair: Pair, beneath: Rgba): Measurement {
  const foreground = theme.roles.get(pair.foreground)?.color;
  const background = theme.roles.get(pair.background)?.color;
  const required = requiredRatio(effectiveTarget(pair.target, pair.size, pair.weight));
  const id = theme.theme.id;
  if (!foreground || !background)
    return { pair, theme: id, text: null, ground: null, ratio: 0, required, passes: false };
  const ground = paintedOver(background, beneath);
  const text = paintedOver(foreground, ground);
  const ratio = contrastRatio(text, ground);
  return { pair, theme: id, text, ground, ratio, required, passes: reaches(ratio, required) };
}

/** Every pair of a document in one theme, in document order, and what it was measured from. */
export interface MeasuredTheme {
  readonly theme: ResolvedTheme;
  readonly pairs: readonly Pair[];
  readonly beneath: Rgba;
  readonly measurements: readonly Measurement[];
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
  pairs.forEach(({ foreground, background }, i) => {
    for (const role of [foreground, background]) {
      const list = places.get(role);
      if (list) list.push(i);
      else places.set(role, [i]);
    }
  });
  byRole.set(pairs, places);
  return places;
}

const NOWHERE: ReadonlyMap<string, readonly number[]> = new Map();
const countPassing = (list: readonly Measurement[]) => list.reduce((n, m) => n + (m.passes ? 1 : 0), 0);

/** Measures a theme of a system; given what it came to before, only the pairs that a change has touched. */
export function measureTheme(system: System, theme: ResolvedTheme, before?: MeasuredTheme): MeasuredTheme {
  const { pairs } = system.document;
  const beneath = groundOf(system, theme);
  if (!before || !sameColor(before.beneath, beneath)) {
    const measurements = pairs.map((pair) => measurePair(theme, pair, beneath));
    return { theme, pairs, beneath, measurements, passing: countPassing(measurements) };
  }
  const recolored = recoloredRoles(before.theme.roles, theme.roles);
  if (pairs === before.pairs && !recolored.length)
    return before.theme === theme ? before : { ...before, theme };
  const samePairs = pairs === before.pairs;
  const measurements = samePairs ? [...before.measurements] : moved(pairs, before);
  let { passing } = before;
  const places = recolored.length ? pairsByRole(pairs) : NOWHERE;
  for (const role of recolored)
    for (const place of places.get(role) ?? []) {
      const now = measurePair(theme, pairs[place]!, beneath);
      passing += Number(now.passes) - Number(measurements[place]?.passes ?? false);
      measurements[place] = now;
    }
  if (samePairs) return { theme, pairs, beneath, measurements, passing };
  for (let i = 0; i < pairs.length; i++) measurements[i] ??= measurePair(theme, pairs[i]!, beneath);
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
