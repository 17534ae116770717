import { rgb8ToOklch } from '../../color/gamut.ts';
import { hexOfRgb8 } from '../../color/write.ts';
import type { Gradient, Stop } from '../../document/gradients/gradient.ts';
import type { Link } from '../../document/links/link.ts';
import { type Shift, shiftedColor } from '../../gradient/analyse.ts';
import { opacityOf, placeOf } from '../../system/families/family-place.ts';
import type { ResolvedGradient } from '../../system/gradients/resolved-gradient.ts';
import { alongFamily, type Walking } from '../../system/gradients/walked-stop.ts';
import { differenceOf, type Painted, paint } from '../../system/painted.ts';

/** A change of a whole gradient; see {@link Shift}. */
export type GradientShift = Required<Shift>;

export const NO_SHIFT: GradientShift = { lightness: 0, saturation: 0, hue: 0 };

/** What a shift comes to. */
export interface ShiftedStops {
  readonly stops: Gradient['stops'];
  /** Stops that follow a family afterwards too, and those that followed one and become plain colours. */
  readonly linked: number;
  readonly loosened: number;
}

/** ΔE OK within which a shade stands for the colour that is wanted. */
const NEAR = 0.045;

const chromaOf = ({ r, g, b }: Pick<Painted, 'r' | 'g' | 'b'>) => rgb8ToOklch(r, g, b)[1];

/**
 * The shade of the link's own family that comes nearest to a colour, where it comes near; none that is less colourful
 * than `least`, unless the link stands there already.
 */
function shadeNear(walking: Walking, link: Link, wanted: Painted, least: number): Link | null {
  const own = alongFamily(link, walking);
  const place = placeOf(walking.families, own);
  if (!place) return null;
  const { shades } = walking.families.get(place.family)!;
  const far = (shade: Painted) => differenceOf(shade, wanted);
  const nearest = shades.reduce((a, b) => (far(b) < far(a) ? b : a));
  if (far(nearest) > NEAR) return null;
  // Where it stands already it stays the link that it is.
  if (nearest === shades[place.at]) return link;
  if (chromaOf(nearest) < least) return null;
  return { to: 'shade', family: place.family, shade: nearest.label, ...opacityOf(own) };
}

/**
 * All stops of a gradient lighter, more colourful, of another hue: linked ones walk along their families where a shade
 * comes near to what is wanted, and become plain colours where none does. Places and opacities stay; a stop without a
 * colour stays as it is.
 */
export function shiftedStops(
  walking: Walking,
  resolved: ResolvedGradient,
  shift: GradientShift,
): ShiftedStops {
  const colors = new Map(resolved.stops.map((stop, i) => [stop.id, resolved.colors[i] ?? null]));
  let [linked, loosened] = [0, 0];
  const isNone = shift.lightness === 0 && shift.saturation === 0 && shift.hue === 0;
  const moved = (stop: Stop): Stop => {
    const color = colors.get(stop.id);
    const follows = placeOf(walking.families, alongFamily(stop.color, walking)) !== null;
    if (!color || isNone) {
      linked += Number(follows);
      return stop;
    }
    const { r, g, b } = shiftedColor(color, shift);
    const wanted = hexOfRgb8(r, g, b);
    const least = shift.saturation > 0 ? chromaOf(color) : 0;
    const near = shadeNear(walking, stop.color, paint(wanted), least);
    if (near) linked += 1;
    else if (follows) loosened += 1;
    return { ...stop, color: near ?? { to: 'color', color: wanted, ...opacityOf(stop.color) } };
  };
  const stops = resolved.gradient.stops.map((item) => (item.kind === 'hint' ? item : moved(item)));
  return { stops, linked, loosened };
}
