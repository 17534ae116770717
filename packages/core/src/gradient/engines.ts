import { rgbToOklab } from '../color/kernel.ts';
import { SPACES } from '../color/spaces.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { type CssGradient, placeStops } from './model.ts';
import { endsEarly, hasNoExtent } from './plain-stops.ts';

/**
 * What in a gradient engines paint otherwise than each other, as it was seen in Chromium, Firefox and WebKit by painting
 * random gradients of all kinds in all three (`e2e/tests/engines.spec.ts`): not what they must do, but what they do.
 */
export const ENGINE_FAULTS = {
  opacity: 'Stops of different opacity are mixed otherwise by engines in any space but sRGB.',
  middle: 'A moved middle is drawn in other pieces by each engine in any space but sRGB.',
  repeats: 'Repeats are mixed in sRGB by one engine, whatever space was asked for.',
  grey: 'Next to grey, engines disagree on which way round the hues a polar space goes.',
  way: 'One engine goes once round all hues before the first stop.',
  ellipse: 'One engine ends the repeats of an ellipse before the box ends.',
  extent: 'It has no extent, for which each engine paints another colour.',
} as const;

export type EngineFault = keyof typeof ENGINE_FAULTS;

/** OKLCH chroma below which engines keep or lose a hue at other limits. */
const NEARLY_GREY = 0.021;

/** Between the channels of a colour that is nearly grey there is no more than 25 of 255 (as a look at all of them shows). */
const MOST_BETWEEN = 32;

function isNearlyGrey({ r, g, b }: Rgba): boolean {
  if (Math.max(r, g, b) - Math.min(r, g, b) > MOST_BETWEEN) return false;
  const [, x, y] = rgbToOklab(r, g, b);
  return Math.hypot(x, y) < NEARLY_GREY;
}

/** Whether what it repeats is seen more than once in any box: along a line or a turn from 0 to 100 % it is not. */
function isSeenRepeating(gradient: CssGradient): boolean {
  if (!gradient.repeating || gradient.kind === 'radial') return gradient.repeating;
  const { first, last } = placeStops({ ...gradient, repeating: false });
  return first > 0 || last < 100;
}

/** What in a gradient, as CSS has it, engines paint otherwise than each other; empty where all paint the same. */
export const engineFaults = (gradient: CssGradient): EngineFault[] => [...faultsOfEngines(gradient)];

/** {@link engineFaults} one after the other, for who asks only whether there is any. */
export function* faultsOfEngines(gradient: CssGradient): Generator<EngineFault, void> {
  const { space, hueWay } = gradient;
  const stops = gradient.stops.flatMap((item) => (item.kind === 'stop' ? [item.color] : []));
  if (space !== 'srgb') {
    if (stops.some(({ alpha }) => alpha !== stops[0]!.alpha)) yield 'opacity';
    if (gradient.stops.some(({ kind }) => kind === 'hint')) yield 'middle';
    if (isSeenRepeating(gradient)) yield 'repeats';
  }
  if (SPACES[space].hue) {
    if (stops.some(isNearlyGrey)) yield 'grey';
    if (hueWay !== 'shorter' && placeStops(gradient).first > 0) yield 'way';
  }
  if (gradient.kind === 'radial' && hasNoExtent(gradient)) yield 'extent';
  else if (endsEarly(gradient)) yield 'ellipse';
}
