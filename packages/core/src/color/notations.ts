import { convert, numbers } from './convert.ts';
import type { Color, SpaceId } from './spaces.ts';
import { plainCmyk, writeColor, writeHex } from './write.ts';

/** A way to write a colour, for people to copy. */
export interface Notation {
  readonly id: string;
  /** What it is called by those who choose it. */
  readonly name: string;
  readonly write: (c: Color) => string;
  /** What has to be known of it: what is no CSS, and what is not exact. */
  readonly note?: string;
}

const short = (value: number) => String(Math.round(value * 100) / 100);

/** `rgb(4.31% 43.14% 45.88%)`: sRGB channels in percent, which CSS reads as well as those to 255. */
function inPercent(c: Color): string {
  const parts = numbers(convert(c, 'srgb')).map((v) => `${short(v * 100)}%`);
  const alpha = c.alpha === 1 ? '' : ` / ${short((c.alpha ?? 0) * 100)}%`;
  return `rgb(${parts.join(' ')}${alpha})`;
}

const inSpace = (id: SpaceId, name: string = id): Notation => ({ id, name, write: (c) => writeColor(c, id) });

/** Every notation of the product, in the order in which they are offered. */
export const NOTATIONS: readonly Notation[] = [
  { id: 'hex', name: 'hex', write: (c) => writeHex(c) },
  inSpace('srgb', 'rgb'),
  { id: 'percent', name: 'rgb in percent', write: inPercent },
  inSpace('hsl'),
  { ...inSpace('hsv'), note: 'hsv, no CSS' },
  inSpace('hwb'),
  inSpace('oklch'),
  inSpace('oklab'),
  inSpace('lch'),
  inSpace('lab'),
  inSpace('display-p3'),
  {
    id: 'cmyk',
    name: 'uncalibrated CMYK',
    write: (c) => plainCmyk(c).map(Math.round).join(' '),
    note: 'cmyk, uncalibrated',
  },
];
