import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Area } from '@mint-lamp/core/gradient/area';
import { calmestPlace, type Eye, whereTheEyeGoes } from '@mint-lamp/core/picture/eye';
import type { Pixels } from '@mint-lamp/core/picture/sample';

/** What is seen first, and what turns that round where it is not the text; null where that does not. */
export interface EyeAnswer {
  readonly eye: Eye;
  /** The worst contrast of the text. */
  readonly ratio: number;
  /** Of the other colours, by its place. */
  color: { readonly index: number; readonly ratio: number } | null;
  /** Of the colours for a veil, by its place; alpha 0–1. */
  veil: { readonly index: number; readonly alpha: number; readonly ratio: number } | null;
  place: { readonly x: number; readonly y: number; readonly ratio: number } | null;
}

/** Pixels as they are seen through a veil, on white. */
export function veiled(pixels: Uint8ClampedArray | Uint8Array, veil: Rgba): Uint8ClampedArray {
  const out = new Uint8ClampedArray(pixels.length);
  for (let i = 0; i < pixels.length; i += 4) {
    const alpha = pixels[i + 3]! / 255;
    const over = (v: number, own: number) =>
      (v * alpha + 255 * (1 - alpha)) * (1 - veil.alpha) + own * veil.alpha;
    out[i] = over(pixels[i]!, veil.r);
    out[i + 1] = over(pixels[i + 1]!, veil.g);
    out[i + 2] = over(pixels[i + 2]!, veil.b);
    out[i + 3] = 255;
  }
  return out;
}

/** Opacities of a veil that are tried. */
const VEILS = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];

/** The thinnest veil with which the text is seen first and can be read; null where none does. */
function leastVeil(
  small: Pixels,
  text: Rgba,
  area: Area,
  veils: readonly Rgba[],
  ratioUnder: (veil: Rgba) => number,
  required: number,
): EyeAnswer['veil'] {
  for (const alpha of VEILS)
    for (const [index, color] of veils.entries()) {
      const veil = { ...color, alpha };
      if (whereTheEyeGoes(small, text, area, veil).first !== 'text') continue;
      const ratio = ratioUnder(veil);
      if (ratio >= required) return { index, alpha, ratio };
    }
  return null;
}

/** What is asked: a text over a region in px of the picture, and what it, and a veil, could be. */
interface Asked {
  readonly text: Rgba;
  readonly region: Area;
  readonly required: number;
  readonly others: readonly Rgba[];
  readonly veils: readonly Rgba[];
  /** A veil that lies over the picture already. */
  readonly lying: Rgba | null;
}

/** The worst contrast of a text over a region of the picture, through a veil. */
export type WorstAt = (text: Rgba, region: Area, veil: Rgba | null) => number;

const scaled = ({ x, y, width, height }: Area, by: number): Area => ({
  x: x * by,
  y: y * by,
  width: width * by,
  height: height * by,
});

/**
 * Where the eye goes first, as a picture is seen from afar, and what turns that round, measured on all its pixels; with a
 * stop between. `whole` is how wide the picture is.
 */
export function* seenFirst(
  small: Pixels,
  whole: number,
  { text, region, required, others, veils, lying }: Asked,
  worst: WorstAt,
): Generator<void, EyeAnswer> {
  const scale = small.width / whole;
  const area = scaled(region, scale);
  const eye = whereTheEyeGoes(small, text, area, lying);
  const { spot } = eye;
  const answer: EyeAnswer = {
    ratio: worst(text, region, lying),
    eye: { ...eye, spot: { ...spot, area: scaled(spot.area, 1 / scale) } },
    color: null,
    veil: null,
    place: null,
  };
  if (eye.first === 'text') return answer;
  const byPull = others
    .map((other, index) => ({ index, other, eye: whereTheEyeGoes(small, other, area, lying) }))
    .filter((one) => one.eye.first === 'text')
    .sort((a, b) => b.eye.pull.text - a.eye.pull.text);
  for (const { index, other } of byPull) {
    const ratio = worst(other, region, lying);
    if (ratio < required) continue;
    answer.color = { index, ratio };
    break;
  }
  yield;
  answer.veil = leastVeil(small, text, area, veils, (veil) => worst(text, region, veil), required);
  yield;
  const place = calmestPlace(small, text, area);
  const { width, height } = region;
  const at = { x: Math.round(place.x / scale), y: Math.round(place.y / scale), width, height };
  const ratio = worst(text, at, lying);
  if (whereTheEyeGoes(small, text, place, lying).first === 'text' && ratio >= required)
    answer.place = { x: at.x, y: at.y, ratio };
  return answer;
}
