/** Which of some things paints each pixel: 0 for none of them. */
export interface Owners {
  readonly width: number;
  readonly height: number;
  readonly ids: Uint8Array;
}

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

/**
 * Gives the pixels of a box to one of the things, but for those of a hole in it, and those that are cut off. `every` takes
 * one of so many stretches of a border: a dash.
 */
export function fillBox(
  { width, height, ids }: Owners,
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
    if (!out) ids.fill(id, at + left, at + right);
    else {
      if (out[0] > left) ids.fill(id, at + left, at + Math.min(right, out[0]));
      if (right > out[1]) ids.fill(id, at + Math.max(left, out[1]), at + right);
    }
  }
}

/** Something drawn by the browser on a canvas of its own: the pixels that it covers at least by half are given away. */
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
    const { width, height, ids } = this.owners;
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
      for (let column = 0; column < w; column++)
        if (data[(row * w + column) * 4 + 3]! >= 128) ids[(y + row) * width + x + column] = id;
  }
}

/** How many pixels each of the things paints, by its number; those of nothing at 0. */
export function countOwners({ ids }: Owners): Float64Array {
  const counts = new Float64Array(256);
  for (const id of ids) counts[id]!++;
  return counts;
}
