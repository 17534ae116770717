import type { RefCallback } from 'react';

/** What stands at a node's place in a copy of what it stands in; null where the copy has nothing there. */
function counterpart(node: Node, source: Node, copy: Node): ChildNode | null {
  const path: number[] = [];
  for (let at = node; at !== source; at = at.parentNode!)
    path.unshift(Array.prototype.indexOf.call(at.parentNode!.childNodes, at));
  return path.reduce<Node | null>(
    (there, index) => there?.childNodes[index] ?? null,
    copy,
  ) as ChildNode | null;
}

/** Of some nodes those that stand in an element and in no other of them. */
function outermost(nodes: Iterable<Node>, source: Node): Node[] {
  const all = new Set(nodes);
  return [...all].filter((node) => {
    let at: Node | null = node;
    while (at && at !== source) {
      at = at.parentNode;
      if (at && all.has(at)) return false;
    }
    return at === source;
  });
}

/**
 * An element whose contents others show too, to the letter, each with a root and colours of its own: what many would draw
 * alike is drawn once. What changes in it changes in all of them, before the next frame is painted.
 */
export class Echoes {
  private source: HTMLElement | null = null;
  private readonly copies = new Set<HTMLElement>();
  private readonly observer = new MutationObserver((records) => this.follow(records));

  /** A reference for the element whose contents are shown. */
  readonly from: RefCallback<HTMLElement> = (source) => {
    if (!source) return;
    this.source = source;
    for (const copy of this.copies) this.showIn(copy);
    this.observer.observe(source, { subtree: true, childList: true, characterData: true, attributes: true });
    return () => {
      this.source = null;
      this.observer.disconnect();
    };
  };

  /** A reference for an element without contents of its own, which shows them. */
  readonly to: RefCallback<HTMLElement> = (copy) => {
    if (!copy) return;
    this.copies.add(copy);
    this.showIn(copy);
    return () => {
      this.copies.delete(copy);
    };
  };

  private showIn(copy: HTMLElement): void {
    if (this.source) copy.replaceChildren(...this.source.cloneNode(true).childNodes);
  }

  private follow(records: readonly MutationRecord[]): void {
    const { source } = this;
    if (!source) return;
    // A root's own attributes are those by which it differs from the others.
    const changed = records.filter(({ type, target }) => type !== 'attributes' || target !== source);
    for (const node of outermost(
      changed.map(({ target }) => target),
      source,
    ))
      for (const copy of this.copies) {
        const there = node === source ? null : counterpart(node, source, copy);
        if (there) there.replaceWith(node.cloneNode(true));
        else this.showIn(copy);
      }
  }
}
