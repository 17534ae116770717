import {
  converter,
  modeA98,
  modeHsl,
  modeHsv,
  modeHwb,
  modeLab,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeP3,
  modeProphoto,
  modeRec2020,
  modeRgb,
  modeXyz50,
  modeXyz65,
  useMode,
} from 'culori/fn';
import { delinearize, oklabToLinear, polar, type Triple } from './kernel.ts';
import { type Channel, type Color, color, SPACES, type SpaceId } from './spaces.ts';

// The colour library is registered once, here; nothing outside color/ sees its objects.
for (const mode of [
  modeRgb,
  modeLrgb,
  modeHsl,
  modeHsv,
  modeHwb,
  modeLab,
  modeLch,
  modeOklab,
  modeOklch,
  modeP3,
  modeA98,
  modeProphoto,
  modeRec2020,
  modeXyz50,
  modeXyz65,
])
  useMode(mode as never);

export type LibraryColor = { mode: string; alpha?: number } & Record<string, number | string | undefined>;

const BY_MODE = new Map(Object.values(SPACES).map((space) => [space.library.mode, space.id]));
const converters = new Map<SpaceId, (c: LibraryColor) => LibraryColor>();

function converterTo(space: SpaceId) {
  let convertTo = converters.get(space);
  if (!convertTo) {
    convertTo = converter(SPACES[space].library.mode as 'rgb') as unknown as (
      c: LibraryColor,
    ) => LibraryColor;
    converters.set(space, convertTo);
  }
  return convertTo;
}

/** Our colour as the library's; `none` becomes undefined. */
function toLibrary(c: Color): LibraryColor {
  const { mode, keys, scale } = SPACES[c.space].library;
  const out: LibraryColor = { mode };
  for (let i = 0; i < 3; i++) {
    const value = c.coords[i];
    out[keys[i]!] = value === null || value === undefined ? undefined : value / scale[i]!;
  }
  if (c.alpha !== 1) out.alpha = c.alpha ?? 0;
  return out;
}

/** The library's colour as ours, in the space of its mode. */
export function fromLibrary(c: LibraryColor): Color {
  const id = BY_MODE.get(c.mode);
  if (!id) throw new TypeError(`The colour library returned an unknown mode: ${c.mode}`);
  const { keys, scale } = SPACES[id].library;
  const read = (i: 0 | 1 | 2): Channel => {
    const value = c[keys[i]] as number | undefined;
    return value === undefined || Number.isNaN(value) ? null : value * scale[i];
  };
  return { space: id, coords: [read(0), read(1), read(2)], alpha: c.alpha ?? 1 };
}

/** Converts a colour without missing channels, by the library or, where that is coarser, by our own way. */
function throughXyz(c: Color, space: SpaceId): Color {
  const from = SPACES[c.space].own;
  const to = SPACES[space].own;
  if (!from && !to) return fromLibrary(converterTo(space)(toLibrary(c)));
  const xyz = from ? from.toXyz(numbers(c)) : numbers(fromLibrary(converterTo('xyz-d65')(toLibrary(c))));
  if (to) return { space, coords: to.fromXyz(xyz), alpha: c.alpha };
  return fromLibrary(converterTo(space)(toLibrary({ space: 'xyz-d65', coords: xyz, alpha: c.alpha })));
}

/**
 * Converts a colour to another space, as CSS Color 4 §10 has it: a missing channel counts as 0, and a hue
 * that has no power in the result (a grey) is missing. Nothing is clipped: coordinates outside the range
 * mean a colour outside the gamut. Converting to the colour's own space returns it unchanged.
 *
 * @example convert(parse('#0b6e75'), 'oklch') // { space: 'oklch', coords: [0.49…, 0.08…, 203…], alpha: 1 }
 */
export function convert(c: Color, space: SpaceId): Color {
  if (c.space === space) return c;
  const out = throughXyz({ space: c.space, coords: numbers(c), alpha: c.alpha ?? 0 }, space);
  const coords: [Channel, Channel, Channel] = [...out.coords];
  const { hue } = SPACES[space];
  for (let i = 0; i < 3; i++) if (coords[i] === null && i !== hue?.at) coords[i] = 0;
  if (hue && !hue.missingByItself && hue.isPowerless(plain(coords))) coords[hue.at] = null;
  return { space, coords, alpha: c.alpha };
}

/** The three coordinates as plain numbers; missing channels are 0. */
export const numbers = (c: Color): Triple => plain(c.coords);

const plain = (coords: readonly [Channel, Channel, Channel]): Triple => [
  coords[0] ?? 0,
  coords[1] ?? 0,
  coords[2] ?? 0,
];

type InPlace = (coords: Triple) => void;

/** Ways to sRGB that need no library: from the spaces that gradients are mixed in most. */
const TO_SRGB: Partial<Record<SpaceId, InPlace>> = {
  srgb: () => {},
  'srgb-linear': encode,
  oklab: fromOklab,
  oklch: (coords) => {
    const [a, b] = polar(coords[1], coords[2]);
    coords[1] = a;
    coords[2] = b;
    fromOklab(coords);
  },
};

function encode(coords: Triple): void {
  for (let i = 0; i < 3; i++) coords[i] = delinearize(coords[i]!);
}

function fromOklab(coords: Triple): void {
  encode(oklabToLinear(coords[0], coords[1], coords[2], coords));
}

/**
 * What turns coordinates of a space, none missing, into those of sRGB (0–1, beyond it outside sRGB), in place:
 * {@link convert}, but faster.
 */
export function srgbFrom(space: SpaceId): InPlace {
  const throughColors: InPlace = (coords) => {
    const [r, g, b] = numbers(convert(color(space, coords), 'srgb'));
    coords[0] = r;
    coords[1] = g;
    coords[2] = b;
  };
  return TO_SRGB[space] ?? throughColors;
}
