import { clamp01 } from '../numbers/clamp.ts';
/**
 * Inner loops over plain numbers, for the places that convert thousands of colours at a time.
 * Matrices: CSS Color 4, "Sample code for color conversions" (sRGB, OKLab of Björn Ottosson).
 */

/** sRGB transfer function, encoded 0–1 to linear light 0–1; mirrored for negative input. */
export function linearize(v: number): number {
  const a = Math.abs(v);
  return a <= 0.04045 ? v / 12.92 : Math.sign(v) * ((a + 0.055) / 1.055) ** 2.4;
}

/** Inverse of {@link linearize}: linear light to encoded sRGB. */
export function delinearize(v: number): number {
  const a = Math.abs(v);
  return a <= 0.0031308 ? v * 12.92 : Math.sign(v) * (1.055 * a ** (1 / 2.4) - 0.055);
}

/** Linear light of each 8-bit sRGB value. */
export const LINEAR_8BIT = Float64Array.from({ length: 256 }, (_, i) => linearize(i / 255));

export type Triple = [number, number, number];

/** Linear sRGB (0–1) to OKLab. Writes into and returns `out`. */
export function linearToOklab(r: number, g: number, b: number, out: Triple): Triple {
  const l = Math.cbrt(0.412221469470763 * r + 0.5363325372617348 * g + 0.0514459932675022 * b);
  const m = Math.cbrt(0.2119034958178252 * r + 0.6806995506452344 * g + 0.1073969535369406 * b);
  const s = Math.cbrt(0.0883024591900564 * r + 0.2817188391361215 * g + 0.6299787016738222 * b);
  out[0] = 0.210454268309314 * l + 0.7936177747023054 * m - 0.0040720430116193 * s;
  out[1] = 1.9779985324311684 * l - 2.4285922420485799 * m + 0.450593709617411 * s;
  out[2] = 0.0259040424655478 * l + 0.7827717124575296 * m - 0.8086757549230774 * s;
  return out;
}

/** OKLab to linear sRGB; values outside 0–1 are outside the gamut. Writes into and returns `out`. */
export function oklabToLinear(L: number, a: number, b: number, out: Triple): Triple {
  // Multiplied out: a power costs many times as much, and this is the innermost loop of all.
  const l1 = L + 0.3963377773761749 * a + 0.2158037573099136 * b;
  const m1 = L - 0.1055613458156586 * a - 0.0638541728258133 * b;
  const s1 = L - 0.0894841775298119 * a - 1.2914855480194092 * b;
  const l = l1 * l1 * l1;
  const m = m1 * m1 * m1;
  const s = s1 * s1 * s1;
  out[0] = 4.076741636075959 * l - 3.3077115392580629 * m + 0.2309699031821043 * s;
  out[1] = -1.2684379732850315 * l + 2.6097573492876882 * m - 0.341319376002657 * s;
  out[2] = -0.0041960761386756 * l - 0.7034186179359362 * m + 1.7076146940746117 * s;
  return out;
}

/** Linear light of a channel 0–255; whole numbers by table, in which a fraction would be sought as a name, and slowly. */
const light8 = (v: number) => ((v & 255) === v ? LINEAR_8BIT[v]! : linearize(v / 255));

/** Painted sRGB (channels 0–255, fractions allowed) to OKLab. Writes into and returns `out`. */
export function rgbToOklab(r: number, g: number, b: number, out: Triple = [0, 0, 0]): Triple {
  return linearToOklab(light8(r), light8(g), light8(b), out);
}

/** Linear sRGB as 8-bit channels, clipped to 0–255. */
export function linearToRgb8(linear: Readonly<Triple>): Triple {
  return linear.map((v) => Math.round(clamp01(delinearize(v)) * 255)) as Triple;
}

/** WCAG 2.2 relative luminance of linear sRGB. Source: WCAG 2.2, definition of "relative luminance". */
export function luminanceOfLinear(r: number, g: number, b: number): number {
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** OKLCH to OKLab's a and b. Hue in degrees. */
export function polar(c: number, h: number): [number, number] {
  const radians = (h * Math.PI) / 180;
  return [c * Math.cos(radians), c * Math.sin(radians)];
}
