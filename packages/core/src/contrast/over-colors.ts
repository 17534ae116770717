import { contrastRatio, luminance, paintedOver, type Rgba, ratioOfLuminances, reaches } from './ratio.ts';

/** The colours of an area that is not one colour, each once. */
export interface SeenColors {
  /** RGBA, each 0–255, four numbers a colour, not premultiplied; with fractions as a gradient has them. */
  readonly colors: Uint8Array | Float32Array;
  /** Pixels of each. */
  readonly counts: Uint32Array;
  /** A pixel of each: its index in the area, row by row. */
  readonly at: Uint32Array;
}

/** Grounds as they are painted, opaque, with what is asked of them again and again. */
export interface Grounds {
  readonly colors: readonly Rgba[];
  readonly luminances: Float64Array;
  readonly counts: Uint32Array;
  readonly at: Uint32Array;
  readonly pixels: number;
}

/** The worst place of a text over grounds. */
export interface WorstOfGrounds {
  readonly ratio: number;
  readonly ground: Rgba;
  /** Index of the pixel in the area. */
  readonly at: number;
  /** The share of pixels on which the text falls short, 0–1. */
  readonly failing: number;
}

/** A colour of a gradient over what is beneath as it is painted: multiplied by its alpha, and only then put into 8 bits. */
export function gradientOver({ r, g, b, alpha }: Rgba, beneath: Rgba): Rgba {
  const through = 256 - Math.round(alpha * 255);
  const paint = (o: number, u: number) =>
    Math.min(255, Math.round(o * alpha) + ((Math.round(u) * through) >> 8));
  return { r: paint(r, beneath.r), g: paint(g, beneath.g), b: paint(b, beneath.b), alpha: 1 };
}

/** A colour of an area over what is beneath, as it is painted. */
function seenOver(color: Rgba, beneath: Rgba, ofGradient: boolean): Rgba {
  if (ofGradient) return gradientOver(color, beneath);
  return color.alpha === 1 ? color : paintedOver(color, beneath);
}

/** The colours of an area over an opaque ground, with a veil (or none) laid over them. At least one colour. */
export function groundsUnder({ colors, counts, at }: SeenColors, beneath: Rgba, veil: Rgba | null): Grounds {
  if (!counts.length) throw new RangeError('The area has no pixels.');
  const out: Rgba[] = new Array(counts.length);
  const luminances = new Float64Array(counts.length);
  let pixels = 0;
  for (let i = 0; i < counts.length; i++) {
    const [r, g, b, a] = [colors[i * 4]!, colors[i * 4 + 1]!, colors[i * 4 + 2]!, colors[i * 4 + 3]!];
    const seen = seenOver({ r, g, b, alpha: a / 255 }, beneath, colors instanceof Float32Array);
    out[i] = veil ? paintedOver(veil, seen) : seen;
    luminances[i] = luminance(out[i]!);
    pixels += counts[i]!;
  }
  return { colors: out, luminances, counts, at, pixels };
}

/** One colour as an area. */
export const oneColor = ({ r, g, b }: Rgba): SeenColors => ({
  colors: Uint8Array.of(r, g, b, 255),
  counts: Uint32Array.of(1),
  at: Uint32Array.of(0),
});

/** One colour as grounds. */
export const oneGround = (color: Rgba): Grounds => ({
  colors: [color],
  luminances: Float64Array.of(luminance(color)),
  counts: Uint32Array.of(1),
  at: Uint32Array.of(0),
  pixels: 1,
});

/** The worst WCAG ratio of a text, translucent or not, over grounds, and the share on which it does not reach `required`. */
export function worstOnGrounds(text: Rgba, grounds: Grounds, required: number): WorstOfGrounds {
  const own = text.alpha >= 1 ? luminance(text) : null;
  let worst = -1;
  let least = Number.POSITIVE_INFINITY;
  let failing = 0;
  for (let i = 0; i < grounds.luminances.length; i++) {
    const ground = grounds.colors[i]!;
    const ratio =
      own === null
        ? contrastRatio(paintedOver(text, ground), ground)
        : ratioOfLuminances(own, grounds.luminances[i]!);
    if (!reaches(ratio, required)) failing += grounds.counts[i]!;
    if (ratio < least) {
      least = ratio;
      worst = i;
    }
  }
  return {
    ratio: least,
    ground: grounds.colors[worst]!,
    at: grounds.at[worst]!,
    failing: failing / grounds.pixels,
  };
}

/** Parts of a veil's opacity that are tried. */
const VEIL_STEPS = 100;

/**
 * The least opacity, in hundredths, 0–1, of a veil of a colour (its alpha is not looked at) over an area with which a
 * text reaches a ratio wherever it stands; null when not even the whole veil does it.
 */
export function leastVeil(
  text: Rgba,
  seen: SeenColors,
  beneath: Rgba,
  veil: Rgba,
  required: number,
): number | null {
  const bare = groundsUnder(seen, beneath, null).colors;
  // What failed last fails first with the next opacity.
  let first = 0;
  for (let step = 0; step <= VEIL_STEPS; step++) {
    const alpha = step / VEIL_STEPS;
    const passes = (i: number) => {
      const ground = step ? paintedOver({ ...veil, alpha }, bare[i]!) : bare[i]!;
      return reaches(contrastRatio(paintedOver(text, ground), ground), required);
    };
    if (!passes(first)) continue;
    const failing = bare.findIndex((_, i) => !passes(i));
    if (failing === -1) return alpha;
    first = failing;
  }
  return null;
}
