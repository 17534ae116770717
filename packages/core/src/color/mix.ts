import { convert, numbers } from './convert.ts';
import type { Triple } from './kernel.ts';
import { type Channel, type Color, color, SPACES, type SpaceId } from './spaces.ts';

/** The four ways round the hue circle (CSS Color 4 §12.4). */
export type HueWay = 'shorter' | 'longer' | 'increasing' | 'decreasing';

/**
 * Adjusts the second of two hues (degrees) so that plain interpolation goes the given way (CSS Color 4 §12.4).
 * Hues just half a turn apart keep their order; equal hues go once round the longer way.
 */
function fixHues(from: number, to: number, way: HueWay): [number, number] {
  const inTurn = (hue: number) => ((hue % 360) + 360) % 360;
  const turn = inTurn(to) - inTurn(from);
  const fixed = {
    shorter: turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn,
    longer: turn > 0 && turn < 180 ? turn - 360 : turn > -180 && turn <= 0 ? turn + 360 : turn,
    increasing: turn < 0 ? turn + 360 : turn,
    decreasing: turn > 0 ? turn - 360 : turn,
  };
  return [from, from + fixed[way]];
}

/** A colour in a space with the channels that have no power missing, as mixing needs it (CSS Color 4 §12.2). */
function forMixing(c: Color, space: SpaceId): Color {
  const converted = convert(c, space);
  const coords: [Channel, Channel, Channel] = [...converted.coords];
  // What is missing in the colour as written stays missing where the channel means the same.
  if (c.space === space) return c;
  const { hue } = SPACES[space];
  if (hue?.isPowerless(numbers(converted))) coords[hue.at] = null;
  return { space, coords, alpha: converted.alpha };
}

/** Two colours made ready to be mixed in a space: channels by channels, none missing, the hues fixed to go one way. */
export interface Mixing {
  readonly from: Triple;
  readonly to: Triple;
  /** Which channel is a hue. */
  readonly hue: number | undefined;
  readonly alphaFrom: number;
  readonly alphaTo: number;
}

/** Makes two colours ready to be mixed (CSS Color 4 §12): missing channels are taken from the other, hues go the given way. */
export function mixingIn(a: Color, b: Color, space: SpaceId, way: HueWay = 'shorter'): Mixing {
  const [first, second] = [forMixing(a, space), forMixing(b, space)];
  const hue = SPACES[space].hue?.at;
  const from: Triple = [0, 0, 0];
  const to: Triple = [0, 0, 0];
  for (let i = 0; i < 3; i++) {
    from[i] = first.coords[i] ?? second.coords[i] ?? 0;
    to[i] = second.coords[i] ?? first.coords[i] ?? 0;
  }
  if (hue !== undefined) [from[hue], to[hue]] = fixHues(from[hue]!, to[hue]!, way);
  const alphaFrom = first.alpha ?? second.alpha ?? 0;
  return { from, to, hue, alphaFrom, alphaTo: second.alpha ?? alphaFrom };
}

/** The channels t 0–1 of the way, all but the hue premultiplied by alpha. Writes them into `out` and returns the alpha. */
export function mixedAt({ from, to, hue, alphaFrom, alphaTo }: Mixing, t: number, out: Triple): number {
  const alpha = alphaFrom + (alphaTo - alphaFrom) * t;
  for (let i = 0; i < 3; i++) {
    const [x, y] = [from[i]!, to[i]!];
    if (i === hue || alpha === 0) out[i] = x + (y - x) * t;
    else out[i] = (x * alphaFrom * (1 - t) + y * alphaTo * t) / alpha;
  }
  return alpha;
}

/** Mixes two colours, t 0–1 of the way, in a space; see {@link mixingIn}. The result is in that space. */
export function mixIn(a: Color, b: Color, t: number, space: SpaceId, way: HueWay = 'shorter'): Color {
  const coords: Triple = [0, 0, 0];
  const alpha = mixedAt(mixingIn(a, b, space, way), t, coords);
  return color(space, coords, alpha);
}
