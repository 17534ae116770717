/** Opaque pixels that flat shapes and letters are drawn on, the same in browser and server to the bit. */
export class Canvas {
  readonly width: number;
  readonly height: number;
  /** RGBA, 8 bits each. */
  readonly pixels: Uint8ClampedArray<ArrayBuffer>;

  /** White all over. */
  constructor(width: number, height: number) {
    this.width = width;
    this.height = height;
    this.pixels = new Uint8ClampedArray(width * height * 4).fill(255);
  }

  /** Fills a rectangle of whole px. */
  rect(
    x: number,
    y: number,
    width: number,
    height: number,
    [r, g, b]: readonly [number, number, number],
  ): void {
    if (width <= 0) return;
    const row = new Uint8ClampedArray(width * 4);
    for (let i = 0; i < width; i++) row.set([r, g, b, 255], i * 4);
    for (let v = y; v < y + height; v++) this.pixels.set(row, (v * this.width + x) * 4);
  }

  /** Lays a mask on a place of whole px, in a colour. */
  stamp(
    { left, top, width, height, covered }: Mask,
    x: number,
    y: number,
    [r, g, b]: readonly [number, number, number],
  ) {
    const { pixels } = this;
    const [first, last] = [Math.max(0, -x - left), Math.min(width, this.width - x - left)];
    for (let v = 0; v < height; v++) {
      const row = y + top + v;
      if (row < 0 || row >= this.height) continue;
      let at = (row * this.width + x + left + first) * 4;
      for (let u = first; u < last; u++, at += 4) {
        const share = covered[v * width + u]!;
        if (!share) continue;
        const rest = 255 - share;
        // In whole numbers, rounded.
        pixels[at] = ((r * share + pixels[at]! * rest) / 255 + 0.5) | 0;
        pixels[at + 1] = ((g * share + pixels[at + 1]! * rest) / 255 + 0.5) | 0;
        pixels[at + 2] = ((b * share + pixels[at + 2]! * rest) / 255 + 0.5) | 0;
      }
    }
  }
}

/** How much of each px a shape covers, 0–255, with its left top corner from where the shape is drawn at. */
export interface Mask {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly covered: Uint8Array;
}

/**
 * The mask of closed contours (x and y in turn, px): each pixel by the area of it that they cover. Signed areas are added up
 * along the rows, so that what turns the other way is a hole.
 */
export function maskOf(contours: readonly ArrayLike<number>[]): Mask {
  let [left, top, right, bottom] = [0, 0, 0, 0];
  for (const points of contours)
    for (let i = 0; i < points.length; i += 2) {
      left = Math.min(left, Math.floor(points[i]!));
      right = Math.max(right, Math.ceil(points[i]!));
      top = Math.min(top, Math.floor(points[i + 1]!));
      bottom = Math.max(bottom, Math.ceil(points[i + 1]!));
    }
  const [w, h] = [right - left + 1, bottom - top + 1];
  const area = new Float32Array(w * h + 2);
  for (const points of contours)
    for (let i = 0; i < points.length; i += 2) {
      const j = (i + 2) % points.length;
      line(area, w, h, points[i]! - left, points[i + 1]! - top, points[j]! - left, points[j + 1]! - top);
    }
  const covered = new Uint8Array(w * h);
  for (let y = 0; y < h; y++) {
    let sum = 0;
    for (let x = 0; x < w; x++) {
      sum += area[y * w + x]!;
      covered[y * w + x] = Math.round(Math.min(1, Math.abs(sum)) * 255);
    }
  }
  return { left, top, width: w, height: h, covered };
}

/** Adds the signed area to the right of an edge, pixel by pixel. */
function line(
  area: Float32Array,
  w: number,
  h: number,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
): void {
  if (y0 === y1) return;
  const [sign, ax, ay, bx, by] = y0 < y1 ? [1, x0, y0, x1, y1] : [-1, x1, y1, x0, y0];
  const slope = (bx - ax) / (by - ay);
  let x = ay < 0 ? ax - ay * slope : ax;
  for (let y = Math.max(0, Math.floor(ay)); y < Math.min(h, Math.ceil(by)); y++) {
    const span = Math.min(y + 1, by) - Math.max(y, ay);
    const next = x + slope * span;
    const d = span * sign;
    const [from, to] = x < next ? [x, next] : [next, x];
    const first = Math.floor(Math.max(0, from));
    const last = Math.ceil(to);
    const at = y * w + Math.min(first, w - 1);
    if (last <= first + 1) {
      const middle = Math.min(1, Math.max(0, (from + to) / 2 - first));
      area[at] = area[at]! + d * (1 - middle);
      area[at + 1] = area[at + 1]! + d * middle;
    } else {
      const s = 1 / (to - from);
      const before = from - first;
      const a0 = 0.5 * s * (1 - before) * (1 - before);
      const after = to - last + 1;
      const am = 0.5 * s * after * after;
      area[at] = area[at]! + d * a0;
      if (last === first + 2) area[at + 1] = area[at + 1]! + d * (1 - a0 - am);
      else {
        const a1 = s * (1.5 - before);
        area[at + 1] = area[at + 1]! + d * (a1 - a0);
        for (let i = first + 2; i < last - 1; i++) area[y * w + i] = area[y * w + i]! + d * s;
        const a2 = a1 + (last - first - 3) * s;
        area[y * w + last - 1] = area[y * w + last - 1]! + d * (1 - a2 - am);
      }
      area[y * w + last] = area[y * w + last]! + d * am;
    }
    x = next;
  }
}
