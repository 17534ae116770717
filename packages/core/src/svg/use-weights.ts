/** Elements that a drawing may come to once all its `use` are drawn. */
const MOST_DRAWN = 20_000;
/** Parts that use parts that use parts. */
const LONGEST_CHAIN = 50;

interface Weight {
  /** Elements in it, itself among them. */
  elements: number;
  /** What it uses, as often as it does. */
  readonly uses: string[];
}

/** Counts how many elements a drawing comes to when what it uses is drawn in place, again and again. */
export class UseWeights {
  private readonly byId = new Map<string, Weight>();
  private readonly all: Weight = { elements: 0, uses: [] };
  private readonly open: (Weight | null)[] = [];

  opened(attributes: ReadonlyMap<string, string>): void {
    const id = attributes.get('id');
    const own: Weight | null = id === undefined ? null : { elements: 0, uses: [] };
    if (own && !this.byId.has(id!)) this.byId.set(id!, own);
    this.open.push(own);
    const used = attributes.get('href')?.slice(1);
    for (const weight of [this.all, ...this.open]) {
      if (!weight) continue;
      weight.elements++;
      if (used !== undefined && used !== '') weight.uses.push(used);
    }
  }

  closed(): void {
    this.open.pop();
  }

  /** Why the drawing cannot be taken; null where it can. */
  fault(): string | null {
    const known = new Map<string, number>();
    const weigh = ({ elements, uses }: Weight, path: ReadonlySet<string>): number => {
      let sum = elements;
      for (const id of uses) {
        const used = this.byId.get(id);
        // What uses itself is not drawn at all.
        if (!used || path.has(id)) continue;
        let weight = known.get(id);
        if (path.size >= LONGEST_CHAIN) return MOST_DRAWN + 1;
        if (weight === undefined) {
          weight = weigh(used, new Set([...path, id]));
          known.set(id, weight);
        }
        sum += weight;
        if (sum > MOST_DRAWN) return sum;
      }
      return sum;
    };
    return weigh(this.all, new Set()) > MOST_DRAWN
      ? `The drawing uses parts of itself so often that it comes to more than ${MOST_DRAWN} elements.`
      : null;
  }
}
