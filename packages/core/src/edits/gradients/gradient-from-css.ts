import { type Gradient, isInOrder, MOST_STOPS, type Stop } from '../../document/gradients/gradient.ts';
import type { Link } from '../../document/links/link.ts';
import {
  type ColorStop,
  type CssGradient,
  type Hint,
  placeStops,
  type StopPlace,
} from '../../gradient/model.ts';

const FARTHEST_PX = 100_000;

/** Whether a document holds such a gradient: between two and 64 stops in order, none beyond the line. */
function fits(gradient: Gradient): boolean {
  const places = gradient.stops.flatMap((item) => (item.kind === 'hint' ? [item.place] : item.places));
  const inRange = ({ value, unit }: StopPlace) =>
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

/**
 * A gradient of CSS as one of a document, every stop placed and linked as `linkOf` says of its colour; null when a
 * document cannot hold it, as one with a stop beyond the line.
 */
export function gradientFromCss<C>(
  gradient: CssGradient<ColorStop<C>>,
  { id, name }: { readonly id: string; readonly name: string },
  linkOf: (color: C) => Link,
): Gradient | null {
  const colorless = { r: 0, g: 0, b: 0, alpha: 1 };
  const { colors } = placeStops({
    ...gradient,
    stops: gradient.stops.map((item) => (item.kind === 'stop' ? { ...item, color: colorless } : item)),
  } as CssGradient);
  let next = 0;
  // Where an item lies before an earlier one, CSS brings it to that one's place.
  let most = 0;
  const stops = gradient.stops.map((item, i): Stop | Hint => {
    if (item.kind === 'hint') {
      if (item.place.unit === 'px') return item;
      most = Math.max(most, item.place.value);
      return { kind: 'hint', place: { value: most, unit: '%' } };
    }
    const places = (item.places.length ? item.places : [null]).map((place): StopPlace => {
      // In the digits that CSS is written with, so that what is written is what is there.
      const worked = Math.round(colors[next++]!.place * 1e6) / 1e6;
      if (place?.unit !== 'px') most = worked;
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
