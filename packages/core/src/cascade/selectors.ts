import { splitOutside } from '../color/split.ts';

/** An element as selectors of themes see it: the root of a page, or its body. */
export interface PageElement {
  readonly tag: 'html' | 'body';
  readonly classes: ReadonlySet<string>;
  readonly attributes: ReadonlyMap<string, string>;
}

/** What an element has to have, so that a selector means it. */
export type Mark =
  | { readonly kind: 'class'; readonly value: string }
  | { readonly kind: 'attribute'; readonly name: string; readonly value: string };

type Test = (element: PageElement, root: PageElement) => boolean;
/** Ids, classes and types, each counting more than all after it (Selectors 4 §17). */
export type Specificity = readonly [number, number, number];

interface Compound {
  readonly test: Test;
  readonly specificity: Specificity;
  /** The marks of each way to be meant. */
  readonly ways: readonly (readonly Mark[])[];
  /** That the marks are those of the root around it. */
  readonly ofRoot?: boolean;
}

/** A selector that means the root of a page or its body, where these have some marks. */
export interface PageSelector {
  /** Whether it means an element; `root` is what the body stands in. */
  readonly matches: (element: PageElement, root: PageElement) => boolean;
  readonly specificity: Specificity;
  /** The marks of each way to be meant; an empty one for what means every page. */
  readonly ways: readonly (readonly Mark[])[];
}

const NONE: Specificity = [0, 0, 0];
const sum = (a: Specificity, b: Specificity): Specificity => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const bySpecificity = (a: Specificity, b: Specificity) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2];

const ATTRIBUTE = /^\[\s*([\w-]+)\s*(?:([~|^$*]?=)\s*(?:"([^"]*)"|'([^']*)'|([^\s\]"']+))\s*[is]?\s*)?\]$/i;
const PIECE =
  /\[(?:"[^"]*"|'[^']*'|[^\]"'])*\]|::?[\w-]+(?:\((?:[^()]|\((?:[^()]|\([^()]*\))*\))*\))?|\.(?:[\w-]|[^\0-\x7f]|\\.)+|#(?:[\w-]|[^\0-\x7f]|\\.)+|\*|[\w-]+|&/y;
const MOST_WAYS = 24;

function attributeTest(name: string, operator: string, value: string): Test {
  return ({ attributes, classes }) => {
    const own = name === 'class' ? [...classes].join(' ') : attributes.get(name);
    if (own === undefined) return false;
    switch (operator) {
      case '~=':
        return own.split(/\s+/).includes(value);
      case '|=':
        return own === value || own.startsWith(`${value}-`);
      case '^=':
        return value !== '' && own.startsWith(value);
      case '$=':
        return value !== '' && own.endsWith(value);
      case '*=':
        return value !== '' && own.includes(value);
      default:
        return own === value;
    }
  };
}

const unescaped = (name: string) => name.replace(/\\(.)/g, '$1');

/** One piece of a compound: null where no root and no body is meant by it. */
function readPiece(piece: string, depth: number): Compound | null {
  const plain = (test: Test, specificity: Specificity, marks: readonly Mark[] = []): Compound => ({
    test,
    specificity,
    ways: [marks],
  });
  const lower = piece.toLowerCase();
  if (piece === '*') return plain(() => true, NONE);
  if (lower === 'html' || lower === 'body') return plain(({ tag }) => tag === lower, [0, 0, 1]);
  if (lower === ':root' || lower === ':host') return plain(({ tag }) => tag === 'html', [0, 1, 0]);
  if (piece.startsWith('.')) {
    const value = unescaped(piece.slice(1));
    return plain(({ classes }) => classes.has(value), [0, 1, 0], [{ kind: 'class', value }]);
  }
  const attribute = ATTRIBUTE.exec(piece);
  if (attribute) {
    const [, raw, operator, double, single, bare] = attribute;
    const name = raw!.toLowerCase();
    if (!operator) return plain(({ attributes }) => attributes.has(name), [0, 1, 0], []);
    const value = double ?? single ?? bare ?? '';
    const mark: Mark = name === 'class' ? { kind: 'class', value } : { kind: 'attribute', name, value };
    return plain(attributeTest(name, operator, value), [0, 1, 0], value ? [mark] : []);
  }
  const nested = /^:(where|is|not|host|-webkit-any|-moz-any|matches)\(([\s\S]*)\)$/i.exec(piece);
  if (!nested || depth > 4) return null;
  const [, word, list] = nested;
  const inner = splitOutside(list!, ',').map((one) => readComplex(one, depth + 1));
  const known = inner.flatMap((one) => one ?? []);
  const most = known.reduce<Specificity>(
    (best, { specificity }) => (bySpecificity(specificity, best) > 0 ? specificity : best),
    NONE,
  );
  const name = word!.toLowerCase();
  // What is in it that means no page is never met, so that its denial always is.
  if (name === 'not') return plain((element, root) => !known.some(({ test }) => test(element, root)), most);
  if (!known.length) return null;
  const isHost = name === 'host';
  return {
    test: (element, root) =>
      (!isHost || element.tag === 'html') && known.some(({ test }) => test(element, root)),
    specificity: name === 'where' ? NONE : isHost ? sum(most, [0, 1, 0]) : most,
    ways: known.flatMap(({ ways }) => ways),
    ofRoot: known.every(({ ways, ofRoot }) => ofRoot || ways.every((way) => !way.length)),
  };
}

/** A compound selector, such as `:root.dark[data-contrast]`; null where no page is meant. */
function readCompound(text: string, depth = 0): Compound | null {
  if (!text || text.length > 1000) return null;
  let test: Test = () => true;
  let specificity = NONE;
  let ways: readonly (readonly Mark[])[] = [[]];
  let ofRoot = true;
  for (let at = 0; at < text.length; ) {
    PIECE.lastIndex = at;
    const piece = PIECE.exec(text)?.[0];
    at = PIECE.lastIndex;
    const read = piece && piece !== '&' ? readPiece(piece, depth) : null;
    if (!read) return null;
    const before = test;
    test = (element, root) => before(element, root) && read.test(element, root);
    specificity = sum(specificity, read.specificity);
    ofRoot &&= read.ofRoot ?? read.ways.every((way) => !way.length);
    ways = ways.flatMap((way) => read.ways.map((own) => [...way, ...own])).slice(0, MOST_WAYS);
  }
  return { test, specificity, ways, ofRoot };
}

/** The compounds of a complex selector, one in another, and none beside another; null where there is one. */
function readComplex(selector: string, depth: number): Compound | null {
  if (selector.length > 2000) return null;
  const parts = selector
    .trim()
    .replace(/\s*>\s*/g, ' ')
    .match(/(?:\[[^\]]*\]|\((?:[^()]|\((?:[^()]|\((?:[^()]|\([^()]*\))*\))*\))*\)|\\.|[^\s[(])+/g);
  if (!parts || parts.length > 2 || /[+~](?![^[(]*[\])])/.test(selector)) return null;
  const compounds = parts.map((part) => readCompound(part, depth));
  const [first, second] = compounds;
  if (!first || compounds.includes(null)) return null;
  if (!second) return first;
  // Nobody but the root has marks: what has some within is a part of a page.
  if (!second.ofRoot && second.ways.some((way) => way.length)) return null;
  return {
    test: (element, root) => element.tag === 'body' && second.test(element, root) && first.test(root, root),
    specificity: sum(first.specificity, second.specificity),
    ways: first.ways.flatMap((way) => second.ways.map((own) => [...way, ...own])).slice(0, MOST_WAYS),
    ofRoot: true,
  };
}

/**
 * A complex selector as far as it means the root of a page, or its body in it: `:root`, `.dark`, `html[data-theme=dark] body`,
 * `:where(:root, .light):not(.dark)`. Null where it means something else of a page. Source: Selectors 4.
 */
export function readPageSelector(selector: string): PageSelector | null {
  const read = readComplex(selector, 0);
  return read && { matches: read.test, specificity: read.specificity, ways: read.ways };
}
