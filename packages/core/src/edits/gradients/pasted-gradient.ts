import { fromRgb8 } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import type { Rgba } from '../../contrast/ratio.ts';
import { type Gradient, MOST_STOPS } from '../../document/gradients/gradient.ts';
import type { Link } from '../../document/links/link.ts';
import { fewerStops, SAME_WITHIN } from '../../gradient/fewer-stops.ts';
import type { CssGradient } from '../../gradient/model.ts';
import { type NearShade, nearShades } from '../../system/near-shades.ts';
import type { System } from '../../system/resolve.ts';
import { gradientFromCss } from './gradient-from-css.ts';

/** ΔE OK within which a colour is linked to a shade, unless said otherwise. */
export const LINKED_WITHIN = 0.02;

/** A colour of a pasted gradient, with the shade or base that it could be linked to instead. */
export interface PastedColor {
  /** Canonical CSS. */
  readonly color: string;
  readonly near: NearShade | null;
}

const written = ({ r, g, b, alpha }: Rgba) => canonical(fromRgb8(r, g, b, alpha));

/** The colours of a gradient's stops, in their order, each with the nearest shade within ΔE OK 0.1. */
export function pastedColors(system: System, { stops }: CssGradient): PastedColor[] {
  return stops.flatMap((item) => {
    if (item.kind === 'hint') return [];
    const color = written(item.color);
    return [{ color, near: nearShades(system, color, 1)[0] ?? null }];
  });
}

/**
 * A gradient of CSS as one of the project, whole: its kind, geometry, space and places; colours that are no farther than
 * `within` (ΔE OK) from a shade are linked to it, others stay plain. Of more than 64 stops as many as paint the same. Null
 * when a project cannot hold it; see {@link whyNotPasted}.
 */
export function pastedGradient(
  system: System,
  gradient: CssGradient,
  named: { readonly id: string; readonly name: string },
  within: number,
): Gradient | null {
  return gradientFromCss(fewerStops(gradient, MOST_STOPS), named, (painted): Link => {
    const color = written(painted);
    const [near] = nearShades(system, color, 1);
    return near && near.difference <= within ? near.link : { to: 'color', color };
  });
}

const stopsIn = ({ stops }: CssGradient) => stops.filter(({ kind }) => kind === 'stop').length;

/** Why a project cannot hold a gradient, in a sentence. */
export const whyNotPasted = (gradient: CssGradient): string =>
  stopsIn(gradient) < 2
    ? 'A gradient needs at least two colours.'
    : 'A stop of this gradient lies beyond its line (under 0 % or over 100 %), which a project cannot hold.';

/** What is not as it was when a gradient is pasted, in words; none where nothing is lost. */
export function pasteNotes(gradient: CssGradient): string[] {
  const count = stopsIn(gradient);
  if (count <= MOST_STOPS) return [];
  const left = stopsIn(fewerStops(gradient, MOST_STOPS));
  return [
    `Its ${count} stops become ${left} that paint the same to the eye (ΔE OK ${SAME_WITHIN}); a project’s gradient has ${MOST_STOPS} at most.`,
  ];
}
