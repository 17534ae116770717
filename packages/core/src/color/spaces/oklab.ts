import { channel, HUE, type SpaceDefinition, UNIT } from './definition.ts';

/** OKLab and OKLCH (CSS Color 4 §9.2). */

const lightness = channel('l', 'Lightness', 0, 1, 5);

export const oklab: SpaceDefinition = {
  id: 'oklab',
  name: 'OKLab',
  channels: [
    lightness,
    channel('a', 'a, green to red', -0.4, 0.4, 5),
    channel('b', 'b, blue to yellow', -0.4, 0.4, 5),
  ],
  css: { as: 'function', name: 'oklab' },
  hue: null,
  library: { mode: 'oklab', keys: ['l', 'a', 'b'], scale: UNIT },
  own: null,
};

export const oklch: SpaceDefinition = {
  id: 'oklch',
  name: 'OKLCH',
  channels: [lightness, channel('c', 'Chroma', 0, 0.4, 5), HUE],
  css: { as: 'function', name: 'oklch' },
  hue: { at: 2, isPowerless: ([, chroma]) => chroma < 0.000004, missingByItself: false },
  library: { mode: 'oklch', keys: ['l', 'c', 'h'], scale: UNIT },
  own: null,
};
