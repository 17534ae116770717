import { convert, numbers } from './convert.ts';
import { inGamut, toRgb8 } from './gamut.ts';
import { type Channel, type Color, SPACES, type SpaceId } from './spaces.ts';

const padded = (n: number) => n.toString(16).padStart(2, '0');
// Reports write a hundred thousand colours.
const PADDED = Array.from({ length: 256 }, (_, n) => padded(n));
const pad = (n: number) => PADDED[n] ?? padded(n);

/** `#rrggbb` of 8-bit channels, with two more digits when an alpha (0–1) below 1 is given. */
export function hexOfRgb8(r: number, g: number, b: number, alpha = 1): string {
  const base = `#${pad(r)}${pad(g)}${pad(b)}`;
  return alpha < 1 ? base + pad(Math.round(alpha * 255)) : base;
}

/**
 * `#rrggbb` or `#rrggbbaa` of any colour, lower case; with `shortest`, `#rgb` or `#rgba` where that is the same. A colour outside sRGB is gamut-mapped first, so the
 * result may stand for a neighbour: ask `inGamut` when that matters.
 */
export function writeHex(c: Color, shortest = false): string {
  const [r, g, b] = toRgb8(c);
  const hex = hexOfRgb8(r, g, b, c.alpha ?? 0);
  return shortest && isDoubled(hex) ? `#${hex.slice(1).replace(/(.)./g, '$1')}` : hex;
}

/** Whether every channel is one digit twice. */
function isDoubled(hex: string): boolean {
  for (let i = 1; i < hex.length; i += 2) if (hex[i] !== hex[i + 1]) return false;
  return true;
}

const trim = (n: number, decimals: number) => {
  const text = n.toFixed(decimals);
  const short = text.includes('.') ? text.replace(/\.?0+$/, '') : text;
  return short === '-0' ? '0' : short;
};

const alphaSuffix = (alpha: Channel) => (alpha === 1 ? '' : ` / ${alpha === null ? 'none' : trim(alpha, 4)}`);

/**
 * CSS text of a colour in a space, in modern syntax, with the space's usual decimals. sRGB is written with
 * 0–255 channels; `hsv` has no CSS form and is written as `hsv(h s% v%)` for reading by people. `digits` behind the point
 * are written instead of the usual ones.
 *
 * @example writeColor(parse('#0b6e75'), 'oklch') // 'oklch(0.4903 0.0785 203.05)'
 */
export function writeColor(c: Color, space: SpaceId = c.space, digits?: number): string {
  const converted = convert(c, space);
  const { channels, css } = SPACES[space];
  const part = (i: 0 | 1 | 2) => {
    const value = converted.coords[i];
    if (value === null) return 'none';
    if (space === 'srgb') return trim(value * 255, 3);
    return trim(value, digits ?? channels[i].decimals) + (channels[i].unit === '%' ? '%' : '');
  };
  const body = `${part(0)} ${part(1)} ${part(2)}${alphaSuffix(converted.alpha)}`;
  if (css.as === 'color') return `color(${space} ${body})`;
  return `${css.as === 'function' ? css.name : space}(${body})`;
}

/**
 * The one spelling that a project document keeps: hex where 8 bits hold the colour exactly, else CSS in the
 * colour's own space.
 */
export function canonical(c: Color): string {
  if (inGamut(c)) {
    const srgb = numbers(convert(c, 'srgb'));
    const exact = srgb.every((v) => Math.abs(v * 255 - Math.round(v * 255)) < 1e-3);
    const alpha255 = (c.alpha ?? 0) * 255;
    if (exact && Math.abs(alpha255 - Math.round(alpha255)) < 1e-6) return writeHex(c);
    if (exact) return writeColor(c, 'srgb');
  }
  return writeColor(c, SPACES[c.space].css.as === 'none' ? 'srgb' : c.space);
}

/** Uncalibrated CMYK in percent, by the plain formula from 8-bit sRGB. For orientation only, not for print. */
export function plainCmyk(c: Color): [number, number, number, number] {
  const [r, g, b] = toRgb8(c).map((v) => v / 255) as [number, number, number];
  const k = 1 - Math.max(r, g, b);
  if (k === 1) return [0, 0, 0, 100];
  const ink = (v: number) => ((1 - v - k) / (1 - k)) * 100;
  return [ink(r), ink(g), ink(b), k * 100];
}

/** sRGB colour channels (0–1) from uncalibrated CMYK percentages, the inverse of {@link plainCmyk}. */
export function fromPlainCmyk(c: number, m: number, y: number, k: number): [number, number, number] {
  const light = 1 - k / 100;
  return [(1 - c / 100) * light, (1 - m / 100) * light, (1 - y / 100) * light];
}
