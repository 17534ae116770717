import { fromRgb8 } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';
import { type ColorStop, type CssGradient, type Hint, type Place, placeStops } from '../gradient/model.ts';
import { readGradient } from '../gradient/read-css.ts';
import { type Gradient, isInOrder, MOST_STOPS, type Stop } from '../system/gradients/gradient.ts';
import type { Link } from '../system/links/link.ts';
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

const FARTHEST_PX = 100_000;

/** Whether a document holds such a gradient: between two and 64 stops in order, none beyond the line. */
function fits(gradient: Gradient): boolean {
  const places = gradient.stops.flatMap((item) => (item.kind === 'hint' ? [item.place] : item.places));
  const inRange = ({ value, unit }: Place) =>
    unit === '%' ? value >= 0 && value <= 100 : Math.abs(value) <= FARTHEST_PX;
  const count = gradient.stops.filter(({ kind }) => kind === 'stop').length;
  return count >= 2 && count <= MOST_STOPS && places.every(inRange) && isInOrder(gradient.stops);
}

const turned = (degrees: number) => ((degrees % 360) + 360) % 360;

/** With angles within one turn, as documents have them. */
function withinTurn<G extends Gradient>(gradient: G): G {
  if (gradient.kind === 'conic') return { ...gradient, from: turned(gradient.from) };
  if (gradient.kind === 'linear' && gradient.direction.by === 'angle')
    return { ...gradient, direction: { by: 'angle', degrees: turned(gradient.direction.degrees) } };
  return gradient;
}

/** A gradient of a text as one of a document, every stop placed and linked; null when a document cannot hold it. */
export function gradientOf(
  gradient: SheetGradient,
  { id, name }: { readonly id: string; readonly name: string },
  linkOf: (source: StopSource) => Link,
): Gradient | null {
  const colorless = { r: 0, g: 0, b: 0, alpha: 1 };
  const { colors } = placeStops({
    ...gradient,
    stops: gradient.stops.map((item) => (item.kind === 'stop' ? { ...item, color: colorless } : item)),
  } as CssGradient);
  let next = 0;
  const stops = gradient.stops.map((item, i): Stop | Hint => {
    if (item.kind === 'hint') return item;
    const places = (item.places.length ? item.places : [null]).map((place): Place => {
      const { place: worked } = colors[next++]!;
      return place?.unit === 'px' ? place : { value: worked, unit: '%' };
    });
    return {
      id: `s${i}`,
      kind: 'stop',
      color: linkOf(item.color),
      places: places as unknown as Stop['places'],
    };
  });
  const made = withinTurn({ ...gradient, id, name, stops } as Gradient);
  return fits(made) ? made : null;
}
