import type { Triple } from '../kernel.ts';
import { type CssForm, HUE, percent, type SpaceDefinition, type SpaceId } from './definition.ts';

/** The spaces that turn sRGB about its grey axis. Greys come out of a conversion without a hue. */
const turned = (
  id: SpaceId,
  [second, third]: readonly [name: string, name: string],
  css: CssForm,
  isPowerless: (coords: Readonly<Triple>) => boolean,
): SpaceDefinition => {
  const [b, c] = [second.charAt(0).toLowerCase(), third.charAt(0).toLowerCase()];
  return {
    id,
    name: id.toUpperCase(),
    channels: [HUE, percent(b, second), percent(c, third)],
    css,
    hue: { at: 0, isPowerless, missingByItself: true },
    library: { mode: id, keys: ['h', b, c], scale: [1, 100, 100] },
    own: null,
  };
};

export const hsl = turned(
  'hsl',
  ['Saturation', 'Lightness'],
  { as: 'function', name: 'hsl', alias: 'hsla' },
  ([, saturation]) => Math.abs(saturation) < 1e-4,
);
export const hwb = turned(
  'hwb',
  ['Whiteness', 'Blackness'],
  { as: 'function', name: 'hwb' },
  ([, whiteness, blackness]) => whiteness + blackness >= 100 - 1e-4,
);
/** CSS does not know it; we write it `hsv(h s% v%)` for people to read. */
export const hsv = turned(
  'hsv',
  ['Saturation', 'Value'],
  { as: 'none' },
  ([, saturation]) => Math.abs(saturation) < 1e-4,
);
