import type {
  ColorStop,
  ConicGradient,
  CssGradient,
  Hint,
  LinearGradient,
  RadialGradient,
  StopPlace,
} from '../../gradient/model.ts';
import type { Link } from '../links/link.ts';

/** A stop of a gradient: as in CSS, its colour a link, and always placed. */
export interface Stop extends ColorStop<Link> {
  readonly id: string;
  readonly places: readonly [StopPlace] | readonly [StopPlace, StopPlace];
}

/** A gradient of the system: as CSS has it, of any kind, named, and with stops that are linked. */
export type Gradient = CssGradient<Stop> & {
  readonly id: string;
  readonly name: string;
  /** The name that it is listed under with others; left out where it is on its own. */
  readonly group?: string;
  /** Whether it is listed before the others. */
  readonly favourite?: true;
};

export type LinearShape = Pick<LinearGradient, 'kind' | 'direction'>;
export type RadialShape = Pick<RadialGradient, 'kind' | 'shape' | 'size' | 'center'>;
export type ConicShape = Pick<ConicGradient, 'kind' | 'from' | 'center'>;

/** What kind a gradient is and how it lies in its box: all that is not its stops, its space, its name. */
export type GradientShape = LinearShape | RadialShape | ConicShape;

/** The shape of a gradient by itself. */
export function shapeOf(gradient: CssGradient<unknown>): GradientShape {
  if (gradient.kind === 'linear') return { kind: 'linear', direction: gradient.direction };
  const { center } = gradient;
  if (gradient.kind === 'conic') return { kind: 'conic', from: gradient.from, center };
  return { kind: 'radial', shape: gradient.shape, size: gradient.size, center };
}

export const MOST_GRADIENTS = 400;
export const MOST_STOPS = 64;

/** The stops of a gradient without the hints between them. */
export const stopsOf = (gradient: CssGradient<Stop>): Stop[] =>
  gradient.stops.filter((item): item is Stop => item.kind === 'stop');

/** A stop at a place in percent of the gradient line. */
export const stopAt = (id: string, percent: number, color: Link): Stop => ({
  id,
  kind: 'stop',
  color,
  places: [{ value: percent, unit: '%' }],
});

/** The angle of a straight gradient, degrees as in CSS; null where it has none: to a corner, radial, conic. */
export const angleOf = (gradient: Gradient): number | null =>
  gradient.kind === 'linear' && gradient.direction.by === 'angle' ? gradient.direction.degrees : null;

/** The places of a stop when its first one is moved: a flat stretch keeps its width, within 0–100 % where that is its unit. */
export function movedTo({ places }: Stop, value: number): Stop['places'] {
  const [first, second] = places;
  const moved: StopPlace = { value, unit: first.unit };
  if (!second) return [moved];
  if (second.unit !== first.unit) return [moved, second];
  const end = value + second.value - first.value;
  const held = second.unit === '%' ? Math.min(100, end) : end;
  return [moved, { value: Math.max(value, held), unit: second.unit }];
}

/** The first and last place of an item in percent; null where it has one in px, which no percentage orders. */
export function percents(item: Stop | Hint): readonly [number, number] | null {
  const places = item.kind === 'hint' ? [item.place] : item.places;
  const [first, last] = [places[0]!, places[places.length - 1]!];
  return first.unit === '%' && last.unit === '%' ? [first.value, last.value] : null;
}

/** Whether no stop or hint lies before an earlier one, as far as places in percent can tell. */
export function isInOrder(items: readonly (Stop | Hint)[]): boolean {
  const known = items.flatMap((item) => percents(item) ?? []);
  return known.every((place, i) => i === 0 || place >= known[i - 1]!);
}
