import { convert, numbers } from '../color/convert.ts';
import { inGamut, toRgb8 } from '../color/gamut.ts';
import { fromRgb8 } from '../color/parse.ts';
import type { Color } from '../color/spaces.ts';
import { canonical } from '../color/write.ts';
import { clamp01 } from '../numbers/clamp.ts';

const f = Math.fround;

/** How far below a half a channel still counts as one, in 8-bit steps: what single precision is off by. */
const SLACK = 3.5e-5;

/**
 * 8-bit channels of `hsl()` as browsers round them: the part of the turn in single precision, by which halves fall to one
 * side or the other (CSS Color 4 §7.1). `s` and `l` are 0–1.
 */
function ofHsl(h: number, s: number, l: number): [number, number, number] {
  const turn = ((h % 360) + 360) % 360;
  const a = s * Math.min(l, 1 - l);
  const channel = (n: number) => {
    const k = f(f(n + f(turn / 30)) % 12);
    const part = Math.max(-1, Math.min(f(k - 3), f(9 - k), 1));
    return Math.floor(clamp01(l - a * part) * 255 + 0.5 + SLACK);
  };
  return [channel(0), channel(8), channel(4)];
}

type Row = readonly [number, number, number];
type Matrix = readonly [Row, Row, Row];

/** OKLab to cube roots of cone responses, and those responses to XYZ for daylight (CSS Color 4 §10.9). */
const LAB_TO_LMS: Matrix = [
  [1, 0.3963377773761749, 0.2158037573099136],
  [1, -0.1055613458156586, -0.0638541728258133],
  [1, -0.0894841775298119, -1.2914855480194092],
];
const LMS_TO_XYZ: Matrix = [
  [1.2268798758459243, -0.5578149944602171, 0.2813910456659647],
  [-0.0405757452148008, 1.112286803280317, -0.0717110580655164],
  [-0.0763729366746601, -0.4214933324022432, 1.5869240198367816],
];
/** Bradford's cones, and the whites that browsers put into one another: 0.3127, 0.3290 and that of profiles. */
const BRADFORD: Matrix = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
];
const DAYLIGHT: Row = [0.3127 / 0.329, 1, (1 - 0.3127 - 0.329) / 0.329];
const OF_PROFILES: Row = [0.96422, 1, 0.82521];
/** Linear sRGB to the XYZ of profiles, as its profile has it in 16-bit steps. */
const SRGB_TO_XYZ: Matrix = [
  [0.436065674, 0.385147095, 0.143066406],
  [0.222488403, 0.716873169, 0.06060791],
  [0.013916016, 0.097076416, 0.714096069],
];

const times = (m: Matrix, v: Row): Row =>
  m.map(([a, b, c]) => a * v[0] + b * v[1] + c * v[2]) as unknown as Row;

function inverse([[a, b, c], [d, e, g], [h, i, j]]: Matrix): Matrix {
  const [x, y, z] = [e * j - g * i, g * h - d * j, d * i - e * h];
  const all = a * x + b * y + c * z;
  return [
    [x / all, (c * i - b * j) / all, (b * g - c * e) / all],
    [y / all, (a * j - c * h) / all, (c * d - a * g) / all],
    [z / all, (b * h - a * i) / all, (a * e - b * d) / all],
  ];
}

const [FROM_CONES, FROM_XYZ] = [inverse(BRADFORD), inverse(SRGB_TO_XYZ)];
const [S, D] = [times(BRADFORD, DAYLIGHT), times(BRADFORD, OF_PROFILES)];

/**
 * 8-bit channels of an OKLab colour as browsers come to them, by way of the white of colour profiles: within one step of
 * what the definition says.
 */
function ofOklab(lab: Row): [number, number, number] {
  const [l, m, s] = times(LAB_TO_LMS, lab);
  const cones = times(BRADFORD, times(LMS_TO_XYZ, [l ** 3, m ** 3, s ** 3]));
  const xyz = times(FROM_CONES, [
    (cones[0] * D[0]) / S[0],
    (cones[1] * D[1]) / S[1],
    (cones[2] * D[2]) / S[2],
  ]);
  return times(FROM_XYZ, xyz).map((v) => Math.round(clamp01(encode(v)) * 255)) as [number, number, number];
}

const encode = (v: number) => (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);

/**
 * A colour as text that comes to the bytes which a browser paints of it on an sRGB screen: what lies beyond is cut off
 * channel by channel, as browsers do, and not brought in along its hue.
 */
export function asPainted(color: Color): string {
  const [h, s, l] = color.coords;
  if (color.space === 'hsl')
    return canonical(fromRgb8(...ofHsl(h ?? 0, (s ?? 0) / 100, (l ?? 0) / 100), color.alpha ?? 0));
  if (color.space === 'oklch' || color.space === 'oklab') {
    const bytes = ofOklab(numbers(convert(color, 'oklab')) as unknown as Row);
    const own = toRgb8(color);
    if (inGamut(color) && bytes.every((v, i) => v === own[i])) return canonical(color);
    return canonical(fromRgb8(...bytes, color.alpha ?? 0));
  }
  if (inGamut(color)) return canonical(color);
  const [r, g, b] = numbers(convert(color, 'srgb')).map((v) => Math.round(clamp01(v) * 255));
  return canonical(fromRgb8(r!, g!, b!, color.alpha ?? 0));
}
