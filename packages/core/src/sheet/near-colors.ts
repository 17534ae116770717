import type { Triple } from '../color/kernel.ts';

/** A colour that another gives way to. */
export interface Near {
  readonly into: string;
  /** ΔE OK between the two. */
  readonly distance: number;
}

/** Cells are not smaller than this, so that a cell has a number of its own. */
const SMALLEST_CELL = 0.001;
/** More than cells along an axis. */
const ALONG = 4096;
/** From the least of a and b of OKLab that anything painted has, with room. */
const BELOW = 1;

/** Colours in cells of OKLab as wide as they are looked for, so that of many only those near by are compared. */
export class NearColors {
  private readonly farthest: number;
  private readonly cell: number;
  private readonly cells = new Map<number, { readonly color: string; readonly lab: Readonly<Triple> }[]>();
  private readonly places = new Map<string, number>();

  /** @param farthest ΔE OK up to which colours are found */
  constructor(farthest: number) {
    this.farthest = farthest;
    // A little wider: what lies as far as that to the last digit is in a cell beside.
    this.cell = Math.max(farthest * 1.001, SMALLEST_CELL);
  }

  add(color: string, lab: Readonly<Triple>): void {
    const key = this.keyOf(this.place(lab[0]), this.place(lab[1]), this.place(lab[2]));
    const cell = this.cells.get(key);
    if (cell) cell.push({ color, lab });
    else this.cells.set(key, [{ color, lab }]);
    this.places.set(color, this.places.size);
  }

  /** The nearest within the distance, of two as near the one that was added later; null where there is none. */
  nearest(lab: Readonly<Triple>): Near | null {
    const [l, a, b] = [this.place(lab[0]), this.place(lab[1]), this.place(lab[2])];
    let near = null as Near | null;
    for (let i = l - 1; i <= l + 1; i++)
      for (let j = a - 1; j <= a + 1; j++)
        for (let k = b - 1; k <= b + 1; k++)
          for (const { color, lab: other } of this.cells.get(this.keyOf(i, j, k)) ?? []) {
            const distance = Math.hypot(lab[0] - other[0], lab[1] - other[1], lab[2] - other[2]);
            if (distance > (near?.distance ?? this.farthest)) continue;
            if (near?.distance === distance && this.places.get(color)! < this.places.get(near.into)!)
              continue;
            near = { into: color, distance };
          }
    return near;
  }

  private place(value: number): number {
    return Math.floor((value + BELOW) / this.cell);
  }

  private keyOf(l: number, a: number, b: number): number {
    return (l * ALONG + a) * ALONG + b;
  }
}
