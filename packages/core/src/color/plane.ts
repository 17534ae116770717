import { linearize, oklabToLinear, polar, type Triple } from './kernel.ts';

/** Linear light from which a channel is at least this 8-bit value, by nearest rounding of the encoded value. */
const EDGES = Float64Array.from({ length: 257 }, (_, i) =>
  i === 0 ? Number.NEGATIVE_INFINITY : i === 256 ? Number.POSITIVE_INFINITY : linearize((i - 0.5) / 255),
);
const GUESSES = 4096;
/** An 8-bit value near each of evenly spaced linear ones, to begin looking from. */
const GUESS = Uint8Array.from({ length: GUESSES + 1 }, (_, i) => {
  let value = 0;
  while (value < 255 && i / GUESSES >= EDGES[value + 1]!) value++;
  return value;
});

/** Linear light, held in 0–1, as an 8-bit sRGB channel: the same as rounding the encoded value. */
export function encode8(v: number): number {
  if (!(v > 0)) return 0;
  if (v >= 1) return 255;
  let value = GUESS[Math.floor(v * GUESSES)]!;
  while (v >= EDGES[value + 1]!) value++;
  while (v < EDGES[value]!) value--;
  return value;
}

/** How far beyond 0 and 1 a linear channel may lie and be inside still, as elsewhere in the gamut's functions. */
const ROUNDING = 1e-6;

/**
 * Paints the plane of one OKLCH hue (degrees) into RGBA pixels: chroma from 0 at the left to `mostChroma` at the
 * right, lightness from 1 at the top to 0 at the bottom, each pixel the colour at its centre. Pixels outside sRGB are
 * left transparent. `out` holds width × height × 4 values.
 */
export function paintPlane(
  out: Uint8ClampedArray,
  width: number,
  height: number,
  hue: number,
  mostChroma: number,
): void {
  const [cos, sin] = polar(1, hue);
  const linear: Triple = [0, 0, 0];
  let at = 0;
  for (let y = 0; y < height; y++) {
    const l = 1 - (y + 0.5) / height;
    for (let x = 0; x < width; x++, at += 4) {
      const c = ((x + 0.5) / width) * mostChroma;
      oklabToLinear(l, c * cos, c * sin, linear);
      const r = linear[0];
      const g = linear[1];
      const b = linear[2];
      const below = r < -ROUNDING || g < -ROUNDING || b < -ROUNDING;
      if (below || r > 1 + ROUNDING || g > 1 + ROUNDING || b > 1 + ROUNDING) {
        out[at + 3] = 0;
        continue;
      }
      out[at] = encode8(r);
      out[at + 1] = encode8(g);
      out[at + 2] = encode8(b);
      out[at + 3] = 255;
    }
  }
}
