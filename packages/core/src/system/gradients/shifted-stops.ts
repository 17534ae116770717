import { oklchToRgb8, rgb8ToOklch } from '../../color/gamut.ts';
import { fromRgb8 } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import { opacityOf, placeOf } from '../links/family-place.ts';
import type { Link } from '../links/link.ts';
import { differenceOf, type Painted, paint } from '../resolve/painted.ts';
import { type Gradient, type Stop, stopsOf } from './gradient.ts';
import type { ResolvedGradient } from './resolved-gradient.ts';
import { alongFamily, type Walking } from './walked-stop.ts';

/** A change of a whole gradient, in OKLCH. */
export interface GradientShift {
  /** Added to the lightness, −1 to 1. */
  readonly lightness: number;
  /** Chroma is multiplied by 1 + this; −1 and up. */
  readonly chroma: number;
  /** Degrees added to the hue. */
  readonly hue: number;
}

export const NO_SHIFT: GradientShift = { lightness: 0, chroma: 0, hue: 0 };

/** What a shift comes to. */
export interface ShiftedStops {
  readonly stops: Gradient['stops'];
  /** Stops that follow a family afterwards too, and those that followed one and become plain colours. */
  readonly linked: number;
  readonly loosened: number;
}

/** ΔE OK within which a shade stands for the colour that is wanted. */
const NEAR = 0.045;

function shiftedColor({ r, g, b }: Painted, { lightness, chroma, hue }: GradientShift): string {
  const [l, c, h] = rgb8ToOklch(r, g, b);
  const held = Math.min(1, Math.max(0, l + lightness));
  return canonical(fromRgb8(...oklchToRgb8(held, c * Math.max(0, 1 + chroma), h + hue), 1));
}

/** The shade of the link's own family that comes nearest to a colour, where it comes near. */
function shadeNear(walking: Walking, link: Link, wanted: Painted): Link | null {
  const own = alongFamily(link, walking);
  const place = placeOf(walking.families, own);
  if (!place) return null;
  const { shades } = walking.families.get(place.family)!;
  const far = (shade: Painted) => differenceOf(shade, wanted);
  const nearest = shades.reduce((a, b) => (far(b) < far(a) ? b : a));
  if (far(nearest) > NEAR) return null;
  // Where it stands already it stays the link that it is.
  if (nearest === shades[place.at]) return link;
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
  const isNone = shift.lightness === 0 && shift.chroma === 0 && shift.hue === 0;
  const moved = (stop: Stop): Stop => {
    const color = colors.get(stop.id);
    const follows = placeOf(walking.families, alongFamily(stop.color, walking)) !== null;
    if (!color || isNone) {
      linked += Number(follows);
      return stop;
    }
    const wanted = shiftedColor(color, shift);
    const near = shadeNear(walking, stop.color, paint(wanted));
    if (near) linked += 1;
    else if (follows) loosened += 1;
    return { ...stop, color: near ?? { to: 'color', color: wanted, ...opacityOf(stop.color) } };
  };
  const stops = resolved.gradient.stops.map((item) => (item.kind === 'hint' ? item : moved(item)));
  return { stops, linked, loosened };
}

/** Whether two lists of stops link otherwise somewhere. */
export const differsInLinks = (a: Gradient['stops'], b: Gradient['stops']): boolean =>
  JSON.stringify(stopsOf({ stops: a } as Gradient).map(({ color }) => color)) !==
  JSON.stringify(stopsOf({ stops: b } as Gradient).map(({ color }) => color));
