import { convert, numbers } from './convert.ts';
import { type Channel, type Color, color, SPACES, type SpaceId } from './spaces.ts';

/** The four ways round the hue circle (CSS Color 4 §12.4). */
export type HueWay = 'shorter' | 'longer' | 'increasing' | 'decreasing';

/**
 * Adjusts the second of two hues (degrees) so that plain interpolation goes the given way (CSS Color 4 §12.4).
 * Hues just half a turn apart keep their order; equal hues go once round the longer way.
 */
export function fixHues(from: number, to: number, way: HueWay): [number, number] {
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
export function forMixing(c: Color, space: SpaceId): Color {
  const converted = convert(c, space);
  const coords: [Channel, Channel, Channel] = [...converted.coords];
  // What is missing in the colour as written stays missing where the channel means the same.
  if (c.space === space) return c;
  const { hue } = SPACES[space];
  if (hue?.isPowerless(numbers(converted))) coords[hue.at] = null;
  return { space, coords, alpha: converted.alpha };
}

/**
 * What mixes two colours, t 0–1 of the way, in a space (CSS Color 4 §12): missing channels are taken from the other,
 * hues go the given way, everything but the hue is premultiplied by alpha. The results are in that space.
 */
export function mixerIn(a: Color, b: Color, space: SpaceId, way: HueWay = 'shorter'): (t: number) => Color {
  const from = forMixing(a, space);
  const to = forMixing(b, space);
  const hue = SPACES[space].hue?.at;
  const alphaFrom = from.alpha ?? to.alpha ?? 0;
  const alphaTo = to.alpha ?? from.alpha ?? 0;
  const starts = [0, 1, 2].map((i) => from.coords[i] ?? to.coords[i] ?? 0);
  const ends = [0, 1, 2].map((i) => to.coords[i] ?? from.coords[i] ?? 0);
  if (hue !== undefined) [starts[hue], ends[hue]] = fixHues(starts[hue]!, ends[hue]!, way);
  return (t) => {
    const alpha = alphaFrom + (alphaTo - alphaFrom) * t;
    const coords: [number, number, number] = [0, 0, 0];
    for (let i = 0; i < 3; i++) {
      const [x, y] = [starts[i]!, ends[i]!];
      if (i === hue || alpha === 0) coords[i] = x + (y - x) * t;
      else coords[i] = (x * alphaFrom * (1 - t) + y * alphaTo * t) / alpha;
    }
    return color(space, coords, alpha);
  };
}

/** Mixes two colours, t 0–1 of the way; see {@link mixerIn}. */
export const mixIn = (a: Color, b: Color, t: number, space: SpaceId, way: HueWay = 'shorter'): Color =>
  mixerIn(a, b, space, way)(t);
