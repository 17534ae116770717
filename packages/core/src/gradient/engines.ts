import { convert, numbers } from '../color/convert.ts';
import { color, SPACES } from '../color/spaces.ts';
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

const chromaOf = ({ r, g, b }: Rgba) =>
  numbers(convert(color('srgb', [r / 255, g / 255, b / 255]), 'oklch'))[1];

/** Whether what it repeats is seen more than once in any box: along a line or a turn from 0 to 100 % it is not. */
function isSeenRepeating(gradient: CssGradient): boolean {
  const { first, last } = placeStops({ ...gradient, repeating: false });
  return gradient.repeating && (gradient.kind === 'radial' || first > 0 || last < 100);
}

/** What in a gradient, as CSS has it, engines paint otherwise than each other; empty where all paint the same. */
export function engineFaults(gradient: CssGradient): EngineFault[] {
  const faults: EngineFault[] = [];
  const { space, hueWay } = gradient;
  const stops = gradient.stops.flatMap((item) => (item.kind === 'stop' ? [item.color] : []));
  if (space !== 'srgb') {
    if (stops.some(({ alpha }) => alpha !== stops[0]!.alpha)) faults.push('opacity');
    if (gradient.stops.some(({ kind }) => kind === 'hint')) faults.push('middle');
    if (isSeenRepeating(gradient)) faults.push('repeats');
  }
  if (SPACES[space].hue) {
    if (stops.some((stop) => chromaOf(stop) < NEARLY_GREY)) faults.push('grey');
    if (hueWay !== 'shorter' && placeStops(gradient).first > 0) faults.push('way');
  }
  if (gradient.kind === 'radial' && hasNoExtent(gradient)) faults.push('extent');
  else if (endsEarly(gradient)) faults.push('ellipse');
  return faults;
}
