import type { Triple } from '../kernel.ts';
import { fromD50, toD50 } from './d50.ts';
import { channel, HUE, type SpaceDefinition, UNIT } from './definition.ts';

/** CIE Lab and LCH on the D50 white, as CSS has them. */

const WHITE_D50: Triple = [0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585];
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

function labFromD50(xyz: Triple): Triple {
  const [x, y, z] = xyz.map((v, i) => {
    const ratio = v / WHITE_D50[i]!;
    return ratio > EPSILON ? Math.cbrt(ratio) : (KAPPA * ratio + 16) / 116;
  }) as Triple;
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

function d50FromLab([l, a, b]: Readonly<Triple>): Triple {
  const y = (l + 16) / 116;
  const x = a / 500 + y;
  const z = y - b / 200;
  const back = (f: number) => (f ** 3 > EPSILON ? f ** 3 : (116 * f - 16) / KAPPA);
  return [
    back(x) * WHITE_D50[0],
    (l > KAPPA * EPSILON ? y ** 3 : l / KAPPA) * WHITE_D50[1],
    back(z) * WHITE_D50[2],
  ];
}

function toPolar([l, a, b]: Readonly<Triple>): Triple {
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return [l, Math.hypot(a, b), hue < 0 ? hue + 360 : hue];
}

function fromPolar([l, c, h]: Readonly<Triple>): Triple {
  const radians = (h * Math.PI) / 180;
  return [l, c * Math.cos(radians), c * Math.sin(radians)];
}

const lightness = channel('l', 'Lightness', 0, 100, 3);

export const lab: SpaceDefinition = {
  id: 'lab',
  name: 'Lab',
  channels: [
    lightness,
    channel('a', 'a, green to red', -125, 125, 3),
    channel('b', 'b, blue to yellow', -125, 125, 3),
  ],
  css: { as: 'function', name: 'lab' },
  hue: null,
  library: { mode: 'lab', keys: ['l', 'a', 'b'], scale: UNIT },
  own: { toXyz: (c) => fromD50(d50FromLab(c)), fromXyz: (xyz) => labFromD50(toD50(xyz)) },
};

export const lch: SpaceDefinition = {
  id: 'lch',
  name: 'LCH',
  channels: [lightness, channel('c', 'Chroma', 0, 150, 3), HUE],
  css: { as: 'function', name: 'lch' },
  hue: { at: 2, isPowerless: ([, chroma]) => chroma < 0.0015, missingByItself: false },
  library: { mode: 'lch', keys: ['l', 'c', 'h'], scale: UNIT },
  own: {
    toXyz: (c) => fromD50(d50FromLab(fromPolar(c))),
    fromXyz: (xyz) => toPolar(labFromD50(toD50(xyz))),
  },
};
