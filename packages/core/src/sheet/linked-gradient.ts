import { fromRgb8 } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { MOST_STOPS } from '../document/gradients/gradient.ts';
import type { ColorStop, CssGradient, Hint } from '../gradient/model.ts';
import { readGradient } from '../gradient/read-css.ts';
import { readValue } from './values.ts';

/** What a stop of a sheet's gradient has for a colour: a custom property, or a plain colour. */
export type StopSource =
  | { readonly to: 'property'; readonly property: string; readonly opacity: number }
  | { readonly to: 'color'; readonly color: string };

export type SheetGradient = CssGradient<ColorStop<StopSource>>;

// A stop that stands for the n-th property while the gradient is read: no sheet writes such an alpha by chance.
const ALPHA = 0.0312345;
const standIn = (n: number) => `rgb(${n >> 8} ${n & 255} 7 / ${ALPHA})`;
const standsFor = ({ r, g, b, alpha }: Rgba) =>
  b === 7 && Math.abs(alpha - ALPHA) < 1e-9 ? (r << 8) | g : null;

const PART = /color-mix\(\s*in\s+[\w-]+\s*,\s*var\([^()]*\)\s*[\d.]+%\s*,\s*transparent\s*\)|var\([^()]*\)/gi;

/** Reads a gradient whose stops may be custom properties; null when it cannot be read, or has too many stops. */
export function readLinkedGradient(text: string): SheetGradient | null {
  const properties: StopSource[] = [];
  const plain = text.replace(PART, (part) => {
    const value = readValue(part);
    if (value?.to !== 'property') return part;
    properties.push(value);
    return standIn(properties.length - 1);
  });
  const read = readGradient(plain);
  if (!read.ok) return null;
  const stops = read.gradient.stops.map((item): ColorStop<StopSource> | Hint => {
    if (item.kind === 'hint') return item;
    const { r, g, b, alpha } = item.color;
    const n = standsFor(item.color);
    const plainColor = { to: 'color', color: canonical(fromRgb8(r, g, b, alpha)) } as const;
    return { ...item, color: (n === null ? undefined : properties[n]) ?? plainColor };
  });
  const count = stops.filter(({ kind }) => kind === 'stop').length;
  return count >= 2 && count <= MOST_STOPS ? ({ ...read.gradient, stops } as SheetGradient) : null;
}
