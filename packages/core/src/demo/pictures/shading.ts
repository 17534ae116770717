import { clamp01 } from '../../numbers/clamp.ts';
/** What drawn pictures are made of: a colour for every place, and noise that is the same each time. */

/** Linear in nothing: plain 8-bit sRGB, 0–255, as a painter mixes on a screen. */
export type Rgb = readonly [r: number, g: number, b: number];

/** The colour at a place: y from 0 at the top to 1 at the bottom, x in the same unit from the left. */
export type Shader = (x: number, y: number) => Rgb;

export const mix = (a: Rgb, b: Rgb, t: number): Rgb => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

/** 0 before `from`, 1 after `to`, and without a corner in between. */
export function smooth(from: number, to: number, v: number): number {
  const t = clamp01((v - from) / (to - from));
  return t * t * (3 - 2 * t);
}

/** 1 within a shape whose edge lies at distance 0, 0 outside, over a soft edge. */
export const inside = (distance: number, edge = 0.0015): number => 1 - smooth(-edge, edge, distance);

/** A number from 0 to 1 for a cell of a lattice, the same each time. */
export function hashed(x: number, y: number): number {
  let h = Math.imul(x, 374761393) + Math.imul(y, 668265263);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Smooth noise, 0–1, about one hill for each unit. */
export function noise(x: number, y: number): number {
  const [ix, iy] = [Math.floor(x), Math.floor(y)];
  const [fx, fy] = [smooth(0, 1, x - ix), smooth(0, 1, y - iy)];
  const top = hashed(ix, iy) * (1 - fx) + hashed(ix + 1, iy) * fx;
  const bottom = hashed(ix, iy + 1) * (1 - fx) + hashed(ix + 1, iy + 1) * fx;
  return top * (1 - fy) + bottom * fy;
}

/** Noise of several sizes at once, 0–1, as coasts and clouds have. */
export function rough(x: number, y: number, layers = 4): number {
  let [sum, weight, all] = [0, 1, 0];
  for (let i = 0; i < layers; i++) {
    sum += noise(x * 2 ** i + i * 17, y * 2 ** i) * weight;
    all += weight;
    weight /= 2;
  }
  return sum / all;
}

/** Distance from a line segment. */
export function fromSegment(x: number, y: number, ax: number, ay: number, bx: number, by: number): number {
  const [dx, dy] = [bx - ax, by - ay];
  const t = clamp01(((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy));
  return Math.hypot(x - ax - dx * t, y - ay - dy * t);
}

/** Distance from the edge of an upright box, negative within. */
export const fromBox = (x: number, y: number, cx: number, cy: number, w: number, h: number): number =>
  Math.max(Math.abs(x - cx) - w / 2, Math.abs(y - cy) - h / 2);

/** Paints a shader as RGBA pixels, 4 bytes each, with fine grain as a photograph has. `grain` in steps of 8 bits. */
export function paint(width: number, height: number, shader: Shader, grain: number): Uint8ClampedArray {
  const pixels = new Uint8ClampedArray(width * height * 4);
  let state = 7;
  const random = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296 - 0.5;
  };
  for (let j = 0, at = 0; j < height; j++)
    for (let i = 0; i < width; i++, at += 4) {
      const [r, g, b] = shader((i + 0.5) / height, (j + 0.5) / height);
      const light = random() * grain;
      pixels[at] = r + light + (random() * grain) / 3;
      pixels[at + 1] = g + light + (random() * grain) / 3;
      pixels[at + 2] = b + light + (random() * grain) / 3;
      pixels[at + 3] = 255;
    }
  return pixels;
}
