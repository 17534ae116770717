import { converter } from 'culori';
import { paintPlane } from '../src/color/plane.ts';
import { shippedNames } from '../src/names/names.ts';
import { reportRatio, reportShare, sized, timeOf } from './report.ts';

const N = sized(1000, 400);
let state = 7;
const random = () => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 4294967296;
};
const hexes = Array.from(
  { length: N },
  () =>
    `#${Math.floor(random() * 0x1000000)
      .toString(16)
      .padStart(6, '0')}`,
);
const rgbas = hexes.map((hex) => {
  const v = Number.parseInt(hex.slice(1), 16);
  return { r: v >> 16, g: (v >> 8) & 255, b: v & 255, alpha: 1 };
});

const names = shippedNames();
const looked = timeOf(() => rgbas.map(({ r, g, b }) => names.nearest(r, g, b)), 5);
reportShare('nearest name in the shipped list, each', looked / N, 1, 'ms');

const PLANE = { width: 276, height: 104, most: 0.38 };
const pixels = new Uint8ClampedArray(PLANE.width * PLANE.height * 4);
let hue = 0;
const plane = timeOf(() => {
  hue += 1;
  paintPlane(pixels, PLANE.width, PLANE.height, hue, PLANE.most);
  return pixels[0];
}, 30);
const toRgb = converter('rgb');
const planeTheirs = timeOf(() => {
  hue += 1;
  let at = 0;
  for (let y = 0; y < PLANE.height; y++)
    for (let x = 0; x < PLANE.width; x++, at += 4) {
      const l = 1 - (y + 0.5) / PLANE.height;
      const c = ((x + 0.5) / PLANE.width) * PLANE.most;
      const { r, g, b } = toRgb({ mode: 'oklch', l, c, h: hue });
      const inside = r >= 0 && r <= 1 && g >= 0 && g <= 1 && b >= 0 && b <= 1;
      pixels[at] = Math.round(r * 255);
      pixels[at + 1] = Math.round(g * 255);
      pixels[at + 2] = Math.round(b * 255);
      pixels[at + 3] = inside ? 255 : 0;
    }
  return pixels[0];
}, 5);
reportRatio(
  'a plane of lightness and chroma, 276 × 104',
  plane,
  planeTheirs,
  "culori's converter, pixel by pixel",
  4,
);
