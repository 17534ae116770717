import { rgbToOklab, type Triple } from '../color/kernel.ts';
import { clamp } from '../numbers/clamp.ts';
import { type Histogram, histogramOf } from './histogram.ts';
import type { PaletteStrategy } from './strategies.ts';

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
function interest(leaning: PaletteStrategy, l: number, chroma: number): number {
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

/** Cells merged into coarser ones, so that noise and patches differ. */
interface Patches {
  /** For each cell of the histogram the patch that it belongs to. */
  readonly of: Int32Array;
  readonly l: Float64Array;
  readonly a: Float64Array;
  readonly b: Float64Array;
  /** Pixels. */
  readonly size: Float64Array;
  /** Pixels of it and of all patches near it. */
  readonly near: Float64Array;
}

/** Steps of a coarse cell to each unit of OKLab. */
const COARSE = 24;

// They are the same for every leaning, and cost more than a palette.
const known = new WeakMap<Histogram, Patches>();

function patchesOf(h: Histogram): Patches {
  let patches = known.get(h);
  if (!patches) {
    patches = mergeCells(h);
    known.set(h, patches);
  }
  return patches;
}

function mergeCells(h: Histogram): Patches {
  const n = h.count.length;
  const of = new Int32Array(n);
  const indexes = new Map<number, number>();
  for (let i = 0; i < n; i++) {
    const key =
      (Math.floor(h.l[i]! * COARSE) << 16) |
      (Math.floor((h.a[i]! + 0.5) * COARSE) << 8) |
      Math.floor((h.b[i]! + 0.5) * COARSE);
    let index = indexes.get(key);
    if (index === undefined) {
      index = indexes.size;
      indexes.set(key, index);
    }
    of[i] = index;
  }
  const column = () => new Float64Array(indexes.size);
  const [l, a, b, size, near] = [column(), column(), column(), column(), column()];
  for (let i = 0; i < n; i++) {
    const p = of[i]!;
    const count = h.count[i]!;
    size[p]! += count;
    l[p]! += h.l[i]! * count;
    a[p]! += h.a[i]! * count;
    b[p]! += h.b[i]! * count;
  }
  for (let p = 0; p < size.length; p++) {
    l[p]! /= size[p]!;
    a[p]! /= size[p]!;
    b[p]! /= size[p]!;
  }
  for (let p = 0; p < size.length; p++) {
    near[p]! += size[p]!;
    for (let q = 0; q < p; q++)
      if (squared(l[p]! - l[q]!, a[p]! - a[q]!, b[p]! - b[q]!) < NEAR ** 2) {
        near[p]! += size[q]!;
        near[q]! += size[p]!;
      }
  }
  return { of, l, a, b, size, near };
}

/** Colours in OKLab, three numbers each. */
type Centers = Float64Array;

/** First the heaviest colour, then each time the one that is both far from all chosen and a patch of its own. */
function seeds(h: Histogram, weight: Float64Array, k: number, leaning: PaletteStrategy): Centers {
  const patches = patchesOf(h);
  const { l, a, b, near } = patches;
  const n = near.length;
  const w = new Float64Array(n);
  for (let i = 0; i < weight.length; i++) w[patches.of[i]!]! += weight[i]!;
  let heaviest = 0;
  for (let p = 1; p < n; p++) if (w[p]! > w[heaviest]!) heaviest = p;
  const most = w[heaviest]!;
  // How much the weight counts against the distance. By area, an accent far from all else needs little weight.
  const pull = { area: 0.18, 'most different': 0 }[leaning as string] ?? 0.7;
  const ofAccent = leaning === 'area' ? pull / 3 : pull;
  // What does not change from one colour to the next.
  const standing = near.map((one, p) => Math.min(1, one / h.total / PATCH) ** 2 * (w[p]! / most) ** pull);
  const standingFar = near.map(
    (one, p) => Math.min(1, one / h.total / PATCH) ** 2 * (w[p]! / most) ** ofAccent,
  );
  const far = new Float64Array(n).fill(Number.POSITIVE_INFINITY);
  const out: number[] = [];
  let next = leaning === 'most different' ? outermost(h, patches) : heaviest;
  while (next !== -1 && out.length < k * 3) {
    const [cl, ca, cb] = [l[next]!, a[next]!, b[next]!];
    out.push(cl, ca, cb);
    let best = 1e-6;
    next = -1;
    for (let p = 0; p < n; p++) {
      const distance = Math.sqrt(squared(l[p]! - cl, a[p]! - ca, b[p]! - cb));
      if (distance < far[p]!) far[p] = distance;
      const score = far[p]! * (far[p]! > 0.15 ? standingFar[p]! : standing[p]!);
      if (score > best) {
        best = score;
        next = p;
      }
    }
  }
  return Float64Array.from(out);
}

/** The patch that lies farthest from the middle of all colours. */
function outermost(h: Histogram, { l, a, b, size, near }: Patches): number {
  const middle = [0, 0, 0];
  for (let p = 0; p < size.length; p++) {
    middle[0]! += (l[p]! * size[p]!) / h.total;
    middle[1]! += (a[p]! * size[p]!) / h.total;
    middle[2]! += (b[p]! * size[p]!) / h.total;
  }
  let best = 0;
  let found = 0;
  for (let p = 0; p < size.length; p++) {
    const reach = squared(l[p]! - middle[0]!, a[p]! - middle[1]!, b[p]! - middle[2]!);
    const score = reach * Math.min(1, near[p]! / h.total / PATCH) ** 4;
    if (score > best) {
      best = score;
      found = p;
    }
  }
  return found;
}

/** The number of the nearest centre for every cell. */
function assign(h: Histogram, centers: Centers, nearest: Uint8Array): void {
  const { l, a, b } = h;
  for (let i = 0; i < nearest.length; i++) {
    let best = Number.POSITIVE_INFINITY;
    let found = 0;
    for (let c = 0; c < centers.length; c += 3) {
      const [dl, da, db] = [l[i]! - centers[c]!, a[i]! - centers[c + 1]!, b[i]! - centers[c + 2]!];
      const d = dl * dl + da * da + db * db;
      if (d < best) {
        best = d;
        found = c;
      }
    }
    nearest[i] = found / 3;
  }
}

/** Moves every centre to the weighted mean of the cells that are nearest to it; returns the longest way. */
function recenter(h: Histogram, weight: Float64Array, centers: Centers, nearest: Uint8Array): number {
  const sums = new Float64Array((centers.length / 3) * 4);
  for (let i = 0; i < nearest.length; i++) {
    const at = nearest[i]! * 4;
    const w = weight[i]!;
    sums[at]! += h.l[i]! * w;
    sums[at + 1]! += h.a[i]! * w;
    sums[at + 2]! += h.b[i]! * w;
    sums[at + 3]! += w;
  }
  let moved = 0;
  for (let c = 0; c < centers.length / 3; c++) {
    const w = sums[c * 4 + 3]!;
    if (!w) continue;
    const now = [0, 1, 2].map((k) => sums[c * 4 + k]! / w);
    moved = Math.max(moved, Math.hypot(...now.map((v, k) => v - centers[c * 3 + k]!)));
    centers.set(now, c * 3);
  }
  return moved;
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
  leaning: PaletteStrategy = 'area',
): PaletteColor[] {
  return paletteOfHistogram(histogramOf(pixels), size, leaning);
}

/** {@link paletteOf} for pixels that were counted before, as when several strategies are shown side by side. */
export function paletteOfHistogram(
  h: Histogram,
  size: number,
  leaning: PaletteStrategy = 'area',
): PaletteColor[] {
  const k = clamp(Math.round(size), 2, 16);
  const n = h.count.length;
  if (!n) return [];
  const weight = new Float64Array(n);
  for (let i = 0; i < n; i++)
    weight[i] = h.count[i]! * interest(leaning, h.l[i]!, Math.sqrt(squared(h.a[i]!, h.b[i]!, 0)));
  const centers = seeds(h, weight, k, leaning);
  const nearest = new Uint8Array(n);
  // What is most different stays where it is: the mean of all that is nearest to it would lie further inside.
  const rounds = leaning === 'most different' ? 0 : ROUNDS;
  for (let round = 0; round < rounds; round++) {
    assign(h, centers, nearest);
    if (recenter(h, weight, centers, nearest) < 1e-4) break;
  }
  assign(h, centers, nearest);
  if (leaning === 'most different') keepNear(h, weight, centers, nearest);
  return describe(h, weight, centers, nearest);
}

/** Leaves out of each colour's mean what is not of its patch, as long as something of it is. */
function keepNear(h: Histogram, weight: Float64Array, centers: Centers, nearest: Uint8Array): void {
  for (let i = 0; i < nearest.length; i++) {
    const c = nearest[i]! * 3;
    const d = squared(h.l[i]! - centers[c]!, h.a[i]! - centers[c + 1]!, h.b[i]! - centers[c + 2]!);
    // Enough of a weight that a colour without a near cell still has a mean.
    if (d > NEAR ** 2) weight[i]! *= 1e-6;
  }
}

/** Centres as colours that the picture really has: the mean of each one's own pixels, all of them. */
function describe(h: Histogram, weight: Float64Array, centers: Centers, nearest: Uint8Array): PaletteColor[] {
  const k = centers.length / 3;
  const sums = new Float64Array(k * 4);
  const sizes = new Float64Array(k);
  for (let i = 0; i < nearest.length; i++) {
    const c = nearest[i]!;
    const w = weight[i]!;
    sizes[c]! += h.count[i]!;
    sums[c * 4]! += h.red[i]! * w;
    sums[c * 4 + 1]! += h.green[i]! * w;
    sums[c * 4 + 2]! += h.blue[i]! * w;
    sums[c * 4 + 3]! += w;
  }
  const mean = (c: number, i: number) => Math.round(sums[c * 4 + i]! / sums[c * 4 + 3]!);
  // Where it is met: not where the centre is, which the mean of its pixels may have left.
  const means = Array.from({ length: k }, (_, c) => rgbToOklab(mean(c, 0), mean(c, 1), mean(c, 2)));
  const closest = new Float64Array(k).fill(Number.POSITIVE_INFINITY);
  const places = new Int32Array(k).fill(-1);
  for (let i = 0; i < nearest.length; i++) {
    const c = nearest[i]!;
    const [l, a, b] = means[c]!;
    const d = squared(h.l[i]! - l, h.a[i]! - a, h.b[i]! - b);
    if (!(d < closest[c]!)) continue;
    closest[c] = d;
    places[c] = h.place[i]!;
  }
  return Array.from({ length: k }, (_, c) => c)
    .filter((c) => sizes[c]! > 0)
    .map((c) => ({
      r: mean(c, 0),
      g: mean(c, 1),
      b: mean(c, 2),
      share: sizes[c]! / h.total,
      place: places[c]!,
    }))
    .sort((x, y) => y.share - x.share || x.place - y.place);
}

/** Mean ΔE OK from each pixel to the nearest colour of a palette: how well the palette stands for the picture. */
export function meanError(
  pixels: Uint8ClampedArray | Uint8Array,
  palette: readonly Readonly<Triple>[],
): number {
  const labs = palette.map(([r, g, b]) => rgbToOklab(r, g, b));
  // By colour and not by cell, since it is cells that palettes are made of.
  const counts = new Uint32Array(1 << 24);
  for (let at = 0; at + 3 < pixels.length; at += 4)
    if (pixels[at + 3]! >= 128) counts[(pixels[at]! << 16) | (pixels[at + 1]! << 8) | pixels[at + 2]!]!++;
  const lab: Triple = [0, 0, 0];
  let sum = 0;
  let total = 0;
  for (let key = 0; key < counts.length; key++) {
    const count = counts[key]!;
    if (!count) continue;
    rgbToOklab(key >> 16, (key >> 8) & 255, key & 255, lab);
    let best = Number.POSITIVE_INFINITY;
    for (const [l, a, b] of labs) best = Math.min(best, squared(lab[0] - l, lab[1] - a, lab[2] - b));
    sum += Math.sqrt(best) * count;
    total += count;
  }
  return total ? sum / total : 0;
}
