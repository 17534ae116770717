/**
 * Things by their id, in a fixed order. Successors with some of the things changed share the index, so that
 * one costs a copied array and no new table.
 */
export class ById<T> implements Iterable<readonly [id: string, thing: T]> {
  private readonly index: ReadonlyMap<string, number>;
  private readonly things: readonly T[];

  constructor(index: ReadonlyMap<string, number>, things: readonly T[]) {
    this.index = index;
    this.things = things;
  }

  get(id: string): T | undefined {
    const at = this.index.get(id);
    return at === undefined ? undefined : this.things[at];
  }

  values(): readonly T[] {
    return this.things;
  }

  /** The same ids with other things, given in the same order. */
  with<U>(things: readonly U[]): ById<U> {
    return new ById(this.index, things);
  }

  /** Where a thing stands in {@link values}. */
  place(id: string): number | undefined {
    return this.index.get(id);
  }

  *[Symbol.iterator](): Iterator<readonly [string, T]> {
    for (const [id, at] of this.index) yield [id, this.things[at]!];
  }
}

/** The places of a list of things by their ids. */
export function indexById(list: readonly { readonly id: string }[]): ReadonlyMap<string, number> {
  return new Map(list.map(({ id }, i) => [id, i]));
}
