import * as imageQ from 'image-q';
import quantize from 'quantize';
import { histogramOf } from '../src/picture/histogram.ts';
import { meanError, paletteOf, paletteOfHistogram } from '../src/picture/palette.ts';
import { PALETTE_STRATEGIES } from '../src/picture/strategies.ts';
import { fullPicture } from './full-picture.ts';
import { reportRatio, reportShare, SMALL, timeOf } from './report.ts';

// Six megapixels of a harbour at dusk: soft bands, fine noise, small bright lights.
const [WIDTH, HEIGHT] = SMALL ? [300, 200] : [3000, 2000];
const pixels = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
let state = 3;
const random = () => {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 4294967296;
};
for (let y = 0; y < HEIGHT; y++)
  for (let x = 0; x < WIDTH; x++) {
    const t = y / HEIGHT;
    const noise = (random() - 0.5) * 22;
    const wave = 14 * Math.sin(x / 90 + 6 * Math.sin(y / 130));
    const sky = [232 - 150 * t, 150 - 40 * t, 110 + 40 * t];
    const sea = [18 + 40 * (1 - t), 62 + 50 * (1 - t), 78 + 40 * (1 - t)];
    const light = x % 500 < 22 && y > 1150 && y < 1180;
    const base = light ? [250, 206, 90] : t < 0.55 ? sky : sea;
    pixels.set(
      [base[0]! + noise + wave, base[1]! + noise + wave / 2, base[2]! + noise, 255],
      (y * WIDTH + x) * 4,
    );
  }

const SIZE = 6;

const full = fullPicture(WIDTH, HEIGHT);
const sixBits = new Uint8Array(1 << 18);
for (let at = 0; at < full.length; at += 4)
  sixBits[((full[at]! >> 2) << 12) | ((full[at + 1]! >> 2) << 6) | (full[at + 2]! >> 2)] = 1;
const occupied = sixBits.reduce((sum, one) => sum + one, 0);
const fullMs = timeOf(() => paletteOf(full, SIZE), 7);
reportShare(
  `palette of 6 from 6 megapixels in ${occupied} different colours of 6 bits a channel`,
  fullMs,
  100,
  'ms',
);
const h = histogramOf(full);
const sixMs = timeOf(() => PALETTE_STRATEGIES.map((leaning) => paletteOfHistogram(h, SIZE, leaning)), 5);
reportShare('six strategies on one counted picture', sixMs, 100, 'ms');

const ours = timeOf(() => paletteOf(pixels, SIZE), 12);
const oursError = meanError(
  pixels,
  paletteOf(pixels, SIZE).map(({ r, g, b }) => [r, g, b]),
);

// It takes a list of triples, so that list has to be made of the picture first; both figures are told.
const listOf = () => {
  const triples: [number, number, number][] = [];
  for (let i = 0; i < pixels.length; i += 4) triples.push([pixels[i]!, pixels[i + 1]!, pixels[i + 2]!]);
  return triples;
};
const triples = listOf();
const quantizeAloneMs = timeOf(() => quantize(triples, SIZE), 3);
const quantizeMs = timeOf(() => quantize(listOf(), SIZE), 3);
const map = quantize(triples, SIZE);
const quantizeError = meanError(pixels, (map ? map.palette() : []) as [number, number, number][]);

const startQ = performance.now();
const container = imageQ.utils.PointContainer.fromUint8Array(pixels, WIDTH, HEIGHT);
const paletteQ = imageQ.buildPaletteSync([container], { colors: SIZE, paletteQuantization: 'wuquant' });
const imageQMs = performance.now() - startQ;
const imageQError = meanError(
  pixels,
  paletteQ
    .getPointContainer()
    .getPointArray()
    .map(({ r, g, b }) => [r, g, b]),
);

reportRatio('palette of 6 from 6 megapixels', ours, quantizeMs, 'quantize over all pixels', 10);
reportRatio('palette of 6 from 6 megapixels', ours, quantizeAloneMs, 'quantize, its list ready-made,', 1);
reportRatio('palette of 6 from 6 megapixels', ours, imageQMs, 'image-q (wuquant) over all pixels', 1);
const judge = (name: string, theirs: number) =>
  console.log(
    `mean ΔE OK from pixel to nearest palette colour: ${oursError.toFixed(4)}, ${name} ${theirs.toFixed(4)}: ${oursError < theirs ? 'holds' : 'DOES NOT HOLD'}`,
  );
judge('quantize', quantizeError);
judge('image-q', imageQError);
