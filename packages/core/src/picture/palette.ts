import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { type Histogram, histogramOf } from './histogram.ts';

/** What a palette leans to. */
export type Leaning = 'area' | 'vivid' | 'gentle' | 'low light' | 'high light' | 'most different';

export interface PaletteColor {
  /** 8-bit channels. */
  readonly r: number;
  readonly g: number;
  readonly b: number;
  /** Share of the picture's pixels that are nearest to it, 0–1. */
  readonly share: number;
  /** Index of a pixel that shows it. */
  readonly place: number;
}

const ROUNDS = 12;
/** A patch of this share of the picture is a colour of its own; less may be noise. */
const PATCH = 0.0015;
/** Cells this near (ΔE OK) belong to one patch. */
const NEAR = 0.06;

/** The square of a distance: in inner loops, many times as fast as Math.hypot. */
const squared = (x: number, y: number, z: number) => x * x + y * y + z * z;

/** How much a colour counts under a leaning, as a factor on its area. */
function interest(leaning: Leaning, l: number, chroma: number): number {
  switch (leaning) {
    case 'area':
    case 'most different':
      return 1;
    case 'vivid':
      return 0.02 + (chroma / 0.15) ** 2;
    case 'gentle':
      return Math.exp(-((chroma / 0.06) ** 2)) * Math.exp(-(((l - 0.7) / 0.3) ** 2)) + 1e-4;
    case 'low light':
      return Math.exp(-(((l - 0.22) / 0.18) ** 2)) + 1e-4;
    case 'high light':
      return Math.exp(-(((l - 0.9) / 0.16) ** 2)) + 1e-4;
  }
}

/** Cells merged into coarser ones, with the weight of what lies near each, so that noise and patches differ. */
function patches(h: Histogram, weight: Float64Array) {
  const coarse = new Map<number, { w: number; l: number; a: number; b: number; size: number }>();
  for (let i = 0; i < h.count.length; i++) {
    const key =
      (Math.floor(h.l[i]! * 24) << 16) |
      (Math.floor((h.a[i]! + 0.5) * 24) << 8) |
      Math.floor((h.b[i]! + 0.5) * 24);
    const cell = coarse.get(key) ?? { w: 0, l: 0, a: 0, b: 0, size: 0 };
    const n = h.count[i]!;
    cell.size += n;
    cell.w += weight[i]!;
    cell.l += h.l[i]! * n;
    cell.a += h.a[i]! * n;
    cell.b += h.b[i]! * n;
    coarse.set(key, cell);
  }
  const cells = [...coarse.values()].map((c) => ({
    ...c,
    l: c.l / c.size,
    a: c.a / c.size,
    b: c.b / c.size,
    near: 0,
  }));
  for (const one of cells)
    for (const other of cells)
      if (squared(one.l - other.l, one.a - other.a, one.b - other.b) < NEAR ** 2) one.near += other.size;
  return cells;
}

type Center = [l: number, a: number, b: number];

/** First the heaviest colour, then each time the one that is both far from all chosen and a patch of its own. */
function seeds(h: Histogram, weight: Float64Array, k: number, leaning: Leaning): Center[] {
  const cells = patches(h, weight);
  // How much the weight counts against the distance. By area, an accent far from all else needs little weight.
  const pull = { area: 0.18, 'most different': 0 }[leaning as string] ?? 0.7;
  const ofAccent = leaning === 'area' ? pull / 3 : pull;
  const out: Center[] = [];
  const far = cells.map(() => Number.POSITIVE_INFINITY);
  const heaviest = cells.reduce((best, cell) => (cell.w > best.w ? cell : best), cells[0]!);
  let next: (typeof cells)[number] | null = heaviest;
  while (next && out.length < k) {
    out.push([next.l, next.a, next.b]);
    const [l, a, b] = out[out.length - 1]!;
    let best = 0;
    let found: (typeof cells)[number] | null = null;
    cells.forEach((cell, i) => {
      far[i] = Math.min(far[i]!, Math.sqrt(squared(cell.l - l, cell.a - a, cell.b - b)));
      const patch = Math.min(1, cell.near / h.total / PATCH);
      const score = far[i]! * patch ** 2 * (cell.w / heaviest.w) ** (far[i]! > 0.15 ? ofAccent : pull);
      if (score > best) {
        best = score;
        found = cell;
      }
    });
    next = best > 1e-6 ? found : null;
  }
  return out;
}

/** The number of the nearest centre for every cell. */
function assign(h: Histogram, centers: readonly Center[], nearest: Uint8Array): void {
  for (let i = 0; i < nearest.length; i++) {
    let best = Number.POSITIVE_INFINITY;
    for (let c = 0; c < centers.length; c++) {
      const [l, a, b] = centers[c]!;
      const d = squared(h.l[i]! - l, h.a[i]! - a, h.b[i]! - b);
      if (d < best) {
        best = d;
        nearest[i] = c;
      }
    }
  }
}

/**
 * The 2 to 16 colours of a picture (RGBA bytes, 4 a pixel), largest share first; fewer only when the picture
 * has fewer. Every pixel with an alpha of at least half counts; clusters are formed in OKLab by weighted
 * k-means from far-apart seeds, so that a small bright accent gets a colour of its own (0.3 % of the area,
 * ΔE OK over 0.15 from all else). Deterministic. An empty or wholly transparent picture gives none.
 */
export function paletteOf(
  pixels: Uint8ClampedArray | Uint8Array,
  size: number,
  leaning: Leaning = 'area',
): PaletteColor[] {
  return paletteOfHistogram(histogramOf(pixels), size, leaning);
}

/** {@link paletteOf} for pixels that were counted before, as when several leanings are shown side by side. */
export function paletteOfHistogram(h: Histogram, size: number, leaning: Leaning = 'area'): PaletteColor[] {
  const k = Math.min(16, Math.max(2, Math.round(size)));
  const n = h.count.length;
  if (!n) return [];
  const weight = h.count.map((count, i) => count * interest(leaning, h.l[i]!, Math.hypot(h.a[i]!, h.b[i]!)));
  const centers = seeds(h, weight, k, leaning);
  const nearest = new Uint8Array(n);
  for (let round = 0; round < ROUNDS; round++) {
    assign(h, centers, nearest);
    const sums = centers.map(() => [0, 0, 0, 0] as [number, number, number, number]);
    for (let i = 0; i < n; i++) {
      const sum = sums[nearest[i]!]!;
      const w = weight[i]!;
      sum[0] += h.l[i]! * w;
      sum[1] += h.a[i]! * w;
      sum[2] += h.b[i]! * w;
      sum[3] += w;
    }
    let moved = 0;
    sums.forEach(([l, a, b, w], c) => {
      if (!w) return;
      const old = centers[c]!;
      const now: Center = [l / w, a / w, b / w];
      moved = Math.max(moved, Math.hypot(old[0] - now[0], old[1] - now[1], old[2] - now[2]));
      centers[c] = now;
    });
    if (moved < 1e-4) break;
  }
  assign(h, centers, nearest);
  return describe(h, weight, centers, nearest);
}

/** Centres as colours that the picture really has: the mean of each one's own pixels, all of them. */
function describe(
  h: Histogram,
  weight: Float64Array,
  centers: readonly Center[],
  nearest: Uint8Array,
): PaletteColor[] {
  const sums = new Float64Array(centers.length * 4);
  const sizes = new Float64Array(centers.length);
  const best = centers.map(() => ({ distance: Number.POSITIVE_INFINITY, place: -1 }));
  for (let i = 0; i < nearest.length; i++) {
    const c = nearest[i]!;
    const w = weight[i]!;
    sizes[c] = sizes[c]! + h.count[i]!;
    [h.red, h.green, h.blue].forEach((channel, k) => {
      sums[c * 4 + k] = sums[c * 4 + k]! + channel[i]! * w;
    });
    sums[c * 4 + 3] = sums[c * 4 + 3]! + w;
    const [l, a, b] = centers[c]!;
    const distance = squared(h.l[i]! - l, h.a[i]! - a, h.b[i]! - b);
    if (distance < best[c]!.distance) best[c] = { distance, place: h.place[i]! };
  }
  const mean = (c: number, i: number) => Math.round(sums[c * 4 + i]! / sums[c * 4 + 3]!);
  return centers
    .flatMap((_, c) =>
      sizes[c]! > 0
        ? [{ r: mean(c, 0), g: mean(c, 1), b: mean(c, 2), share: sizes[c]! / h.total, place: best[c]!.place }]
        : [],
    )
    .sort((x, y) => y.share - x.share || x.place - y.place);
}

/** Mean ΔE OK from each pixel to the nearest colour of a palette: how well the palette stands for the picture. */
export function meanError(
  pixels: Uint8ClampedArray | Uint8Array,
  palette: readonly Readonly<Triple>[],
): number {
  const labs = palette.map(([r, g, b]) => rgbToOklab(r, g, b));
  const h = histogramOf(pixels);
  let sum = 0;
  for (let i = 0; i < h.count.length; i++) {
    let best = Number.POSITIVE_INFINITY;
    for (const [l, a, b] of labs) best = Math.min(best, squared(h.l[i]! - l, h.a[i]! - a, h.b[i]! - b));
    sum += Math.sqrt(best) * h.count[i]!;
  }
  return h.total ? sum / h.total : 0;
}
