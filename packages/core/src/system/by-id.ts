interface Identified {
  readonly id: string;
}

/**
 * Things by their id, in a fixed order. Successors with some of the things changed share the index, so that one
 * costs a copied array and no new table.
 */
export class ById<T> implements Iterable<readonly [id: string, thing: T]> {
  readonly index: ReadonlyMap<string, number>;
  private readonly things: readonly T[];

  constructor(index: ReadonlyMap<string, number>, things: readonly T[]) {
    this.index = index;
    this.things = things;
  }

  get(id: string): T | undefined {
    const at = this.index.get(id);
    return at === undefined ? undefined : this.things[at];
  }

  at(place: number): T | undefined {
    return this.things[place];
  }

  values(): readonly T[] {
    return this.things;
  }

  /** Whether a list has the same ids in the same order. */
  sameIds(list: readonly Identified[]): boolean {
    if (list.length !== this.index.size) return false;
    let i = 0;
    for (const id of this.index.keys()) if (list[i++]!.id !== id) return false;
    return true;
  }

  *[Symbol.iterator](): Iterator<readonly [string, T]> {
    for (const [id, at] of this.index) yield [id, this.things[at]!];
  }
}

/** The places of a list of things by their ids. */
export function indexById(list: readonly Identified[]): ReadonlyMap<string, number> {
  return new Map(list.map(({ id }, i) => [id, i]));
}
