import type { Triple } from '../color/kernel.ts';

/** A colour that another gives way to. */
export interface Near {
  readonly into: string;
  /** ΔE OK between the two. */
  readonly distance: number;
}

interface Entry {
  readonly color: string;
  readonly lab: Readonly<Triple>;
  readonly order: number;
}

/** Cells are not smaller than this, so that a cell has a number of its own. */
const SMALLEST_CELL = 0.001;
/** More than there are cells along an axis. */
const ALONG = 4096;
/** Added to each of L, a and b of OKLab, so that nothing painted is below 0. */
const BELOW = 1;

/** Colours in cells of OKLab as wide as they are looked for, so that of many only those near by are compared. */
export class NearColors {
  private readonly farthest: number;
  private readonly cell: number;
  private readonly cells = new Map<number, Entry[]>();
  private added = 0;

  /** @param farthest ΔE OK up to which colours are found */
  constructor(farthest: number) {
    this.farthest = farthest;
    // A little wider: what lies as far as that to the last digit is in a cell beside.
    this.cell = Math.max(farthest * 1.001, SMALLEST_CELL);
  }

  add(color: string, lab: Readonly<Triple>): void {
    const key = this.keyOf(this.place(lab[0]), this.place(lab[1]), this.place(lab[2]));
    const entry = { color, lab, order: this.added++ };
    const cell = this.cells.get(key);
    if (cell) cell.push(entry);
    else this.cells.set(key, [entry]);
  }

  /** The nearest within the distance, of two as near the one that was added later; null where there is none. */
  nearest(lab: Readonly<Triple>): Near | null {
    let into: Entry | null = null;
    let least = this.farthest;
    for (const entry of this.beside(lab)) {
      const distance = Math.hypot(lab[0] - entry.lab[0], lab[1] - entry.lab[1], lab[2] - entry.lab[2]);
      if (distance > least || (distance === least && into && entry.order < into.order)) continue;
      into = entry;
      least = distance;
    }
    return into && { into: into.color, distance: least };
  }

  /** All in the cell of a colour and in those around it. */
  private *beside(lab: Readonly<Triple>): Generator<Entry> {
    const [l, a, b] = [this.place(lab[0]), this.place(lab[1]), this.place(lab[2])];
    for (let i = l - 1; i <= l + 1; i++)
      for (let j = a - 1; j <= a + 1; j++)
        for (let k = b - 1; k <= b + 1; k++) yield* this.cells.get(this.keyOf(i, j, k)) ?? [];
  }

  private place(value: number): number {
    return Math.floor((value + BELOW) / this.cell);
  }

  private keyOf(l: number, a: number, b: number): number {
    return (l * ALONG + a) * ALONG + b;
  }
}
