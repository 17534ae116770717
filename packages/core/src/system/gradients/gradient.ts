import type { ColorStop, CssGradient, Place } from '../../gradient/model.ts';
import type { Link } from '../links/link.ts';

/** A stop of a gradient: as in CSS, its colour a link, and always placed. */
export interface Stop extends ColorStop<Link> {
  readonly id: string;
  readonly places: readonly [Place] | readonly [Place, Place];
}

/** A gradient of the system: as CSS has it, of any kind, named, and with stops that are linked. */
export type Gradient = CssGradient<Stop> & { readonly id: string; readonly name: string };

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
