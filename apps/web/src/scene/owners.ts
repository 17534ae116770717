/**
 * Which of some things paints each pixel, 0 for none of them; and what lies over that with an edge or a letter that covers
 * a part of it, 0–255.
 */
export interface Owners {
  readonly width: number;
  readonly height: number;
  readonly ids: Uint8Array;
  readonly over: Uint8Array;
  readonly cover: Uint8Array;
}

export const newOwners = (width: number, height: number): Owners => ({
  width,
  height,
  ids: new Uint8Array(width * height),
  over: new Uint8Array(width * height),
  cover: new Uint8Array(width * height),
});

/** A box with corners of one radius, in px. */
export interface RoundBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly radius: number;
}

/** The same box, smaller on all sides by so much, or larger. */
export const inset = (box: RoundBox, top: number, right = top, bottom = top, left = top): RoundBox => ({
  left: box.left + left,
  top: box.top + top,
  right: box.right - right,
  bottom: box.bottom - bottom,
  // Square corners stay so.
  radius: box.radius === 0 ? 0 : Math.max(0, box.radius - Math.max(top, right, bottom, left)),
});

/** The columns of a row whose pixels have their middle inside a box: from the first to before the last. */
function spanAt(box: RoundBox, row: number): readonly [number, number] | null {
  const middle = row + 0.5;
  if (middle < box.top || middle >= box.bottom) return null;
  const radius = Math.min(box.radius, (box.right - box.left) / 2, (box.bottom - box.top) / 2);
  const from = radius - Math.min(middle - box.top, box.bottom - middle);
  const cut = from > 0 ? radius - Math.sqrt(Math.max(0, radius * radius - from * from)) : 0;
  return [Math.ceil(box.left + cut - 0.5), Math.ceil(box.right - cut - 0.5)];
}

/** Gives the pixels of a box to one of the things, but for those of a hole in it, and those that are cut off. */
export function fillBox(
  { width, height, ids, cover }: Owners,
  box: RoundBox,
  id: number,
  clips: readonly RoundBox[] = [],
  hole?: RoundBox,
): void {
  const last = Math.min(height, Math.ceil(box.bottom));
  for (let row = Math.max(0, Math.floor(box.top)); row < last; row++) {
    const span = spanAt(box, row);
    if (!span) continue;
    let [left, right] = [Math.max(0, span[0]), Math.min(width, span[1])];
    for (const clip of clips) {
      const kept = spanAt(clip, row);
      [left, right] = kept ? [Math.max(left, kept[0]), Math.min(right, kept[1])] : [0, 0];
    }
    if (right <= left) continue;
    const out = hole && spanAt(hole, row);
    const at = row * width;
    const give = (from: number, to: number) => {
      if (to <= from) return;
      ids.fill(id, at + from, at + to);
      cover.fill(0, at + from, at + to);
    };
    if (!out) give(left, right);
    else {
      give(left, Math.min(right, out[0]));
      give(Math.max(left, out[1]), right);
    }
  }
}

/** Something drawn by the browser on a canvas of its own: of each pixel the part that it covers is given away. */
export class Stencil {
  private readonly context: OffscreenCanvasRenderingContext2D;
  private readonly owners: Owners;

  constructor(owners: Owners) {
    this.owners = owners;
    this.context = new OffscreenCanvas(owners.width, owners.height).getContext('2d', {
      willReadFrequently: true,
    })!;
  }

  draw(
    box: Omit<RoundBox, 'radius'>,
    id: number,
    paint: (context: OffscreenCanvasRenderingContext2D) => void,
  ): void {
    const { width, height, over, cover } = this.owners;
    const [x, y] = [Math.max(0, Math.floor(box.left) - 2), Math.max(0, Math.floor(box.top) - 2)];
    const w = Math.min(width, Math.ceil(box.right) + 2) - x;
    const h = Math.min(height, Math.ceil(box.bottom) + 2) - y;
    if (w <= 0 || h <= 0) return;
    const { context } = this;
    context.save();
    context.clearRect(x, y, w, h);
    paint(context);
    context.restore();
    const { data } = context.getImageData(x, y, w, h);
    for (let row = 0; row < h; row++)
      for (let column = 0; column < w; column++) {
        const alpha = data[(row * w + column) * 4 + 3]!;
        if (!alpha) continue;
        const at = (y + row) * width + x + column;
        over[at] = id;
        cover[at] = alpha;
      }
  }
}

/** How many pixels each of the things paints, by its number; those of nothing at 0. */
export function countOwners({ ids, over, cover }: Owners): Float64Array {
  const counts = new Float64Array(256);
  for (let at = 0; at < ids.length; at++) {
    const part = cover[at]! / 255;
    counts[ids[at]!]! += 1 - part;
    if (part) counts[over[at]!]! += part;
  }
  return counts;
}
