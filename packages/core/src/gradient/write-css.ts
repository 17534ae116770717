import { SPACES } from '../color/spaces.ts';
import { hexOfRgb8 } from '../color/write.ts';
import type { Rgba } from '../contrast/ratio.ts';
import type { ColorStop, CssGradient, Hint, StopPlace } from './model.ts';

const number = (n: number) => String(Math.round(n * 1e6) / 1e6);
const placeText = ({ value, unit }: StopPlace) => `${number(value)}${unit}`;

function paintedText({ r, g, b, alpha }: Rgba): string {
  const whole = [r, g, b].every((v) => Math.abs(v - Math.round(v)) < 1e-9);
  if (alpha === 1 && whole) return hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
  return `rgb(${number(r)} ${number(g)} ${number(b)}${alpha === 1 ? '' : ` / ${number(alpha)}`})`;
}

// A document's places are the same in every theme, and most of what is written of a gradient.
const placesTexts = new WeakMap<readonly StopPlace[], string>();

/** The places of a stop, each with a space before it. */
function placesText(places: readonly StopPlace[]): string {
  if (!places.length) return '';
  let text = placesTexts.get(places);
  if (text === undefined) {
    text = places.map((place) => ` ${placeText(place)}`).join('');
    placesTexts.set(places, text);
  }
  return text;
}

const itemText = <C>(item: ColorStop<C> | Hint, colorText: (color: C) => string): string =>
  item.kind === 'hint' ? placeText(item.place) : `${colorText(item.color)}${placesText(item.places)}`;

const isCenter = (center: readonly [StopPlace, StopPlace]) =>
  center.every((place) => place.value === 50 && place.unit === '%');

function headOf(gradient: CssGradient<unknown>): string[] {
  const at =
    gradient.kind === 'linear' || isCenter(gradient.center) ? [] : ['at', ...gradient.center.map(placeText)];
  switch (gradient.kind) {
    case 'linear': {
      const { direction } = gradient;
      if (direction.by === 'angle') return [`${number(direction.degrees)}deg`];
      return ['to', direction.y, direction.x].filter((word) => word !== null);
    }
    case 'radial':
      return [
        gradient.shape,
        ...(typeof gradient.size === 'string' ? [gradient.size] : gradient.size.map(placeText)),
        ...at,
      ];
    case 'conic':
      return [...(gradient.from === 0 ? [] : ['from', `${number(gradient.from)}deg`]), ...at];
  }
}

/**
 * Writes a gradient as CSS, its colours in a text of one's own, such as `var(--deepwater-500)`. The space is always
 * said, since without it a browser goes by how the colours are spelt; the hue way only where the space has a hue
 * and it is not the shorter.
 */
export function writeGradientWith<C>(
  gradient: CssGradient<ColorStop<C>>,
  colorText: (color: C) => string,
): string {
  const way = SPACES[gradient.space].hue && gradient.hueWay !== 'shorter' ? [gradient.hueWay, 'hue'] : [];
  const head = [...headOf(gradient), 'in', gradient.space, ...way].join(' ');
  const stops = gradient.stops.map((item) => itemText(item, colorText)).join(', ');
  return `${gradient.repeating ? 'repeating-' : ''}${gradient.kind}-gradient(${head}, ${stops})`;
}

/** Writes a gradient as CSS so that reading it gives the same gradient; see {@link writeGradientWith}. */
export const writeGradient = (gradient: CssGradient): string => writeGradientWith(gradient, paintedText);
