/** Characters that a value has at most once all its variables are put in; what would have more is none. */
const LONGEST = 20_000;
const NAME = /var\(\s*(--(?:[\w-]|[^\0-\x7f]|\\.)+)/gi;

/** The custom properties that a value goes by, those in fallbacks too. */
const namesIn = (value: string): string[] =>
  value.includes('(') ? [...value.matchAll(NAME)].map(([, name]) => name!) : [];

/** Index behind the bracket that closes what opens before `from`; the end of the text where none does. */
function closingOf(text: string, from: number): number {
  let depth = 1;
  for (let i = from; i < text.length; i++) {
    const sign = text[i];
    if (sign === '(') depth += 1;
    if (sign === ')') depth -= 1;
    if (depth === 0) return i + 1;
    if (sign === '"' || sign === "'") {
      const end = text.indexOf(sign, i + 1);
      if (end === -1) return text.length;
      i = end;
    }
  }
  return text.length;
}

const REFERENCE = /\b(var|env)\(/gi;

/**
 * A value with every `var()` and `env()` put in (CSS Variables 1 §3): by what `known` knows, else by its fallback; null
 * where there is neither, which makes the whole value invalid.
 */
function substitute(value: string, known: (name: string) => string | null, depth = 0): string | null {
  if (!/\b(?:var|env)\(/i.test(value)) return value;
  if (depth > 60) return null;
  let out = '';
  let from = 0;
  REFERENCE.lastIndex = 0;
  for (let match = REFERENCE.exec(value); match; match = REFERENCE.exec(value)) {
    const start = match.index;
    const inside = start + match[0].length;
    const end = closingOf(value, inside);
    const args = value.slice(inside, end - 1);
    const comma = args.indexOf(',');
    const name = (comma === -1 ? args : args.slice(0, comma)).trim();
    let own = match[1]!.toLowerCase() === 'var' && name.startsWith('--') ? known(name) : null;
    if (own === null && comma !== -1) own = substitute(args.slice(comma + 1).trim(), known, depth + 1);
    if (own === null) return null;
    out += value.slice(from, start) + own;
    if (out.length > LONGEST) return null;
    from = end;
    REFERENCE.lastIndex = end;
  }
  out += value.slice(from);
  return out.length > LONGEST ? null : out;
}

/**
 * The declared properties in such an order that each comes behind all that it goes by, and those that go in a circle
 * (Tarjan's components, without recursion: chains have thousands of links).
 */
function inOrder(declared: ReadonlyMap<string, string>): { order: string[]; circular: Set<string> } {
  const order: string[] = [];
  const circular = new Set<string>();
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const waiting: string[] = [];
  const isWaiting = new Set<string>();
  for (const start of declared.keys()) {
    if (index.has(start)) continue;
    const work: { name: string; next: string[]; at: number }[] = [];
    const enter = (name: string) => {
      index.set(name, index.size);
      low.set(name, index.get(name)!);
      waiting.push(name);
      isWaiting.add(name);
      work.push({ name, next: namesIn(declared.get(name)!).filter((one) => declared.has(one)), at: 0 });
    };
    enter(start);
    while (work.length) {
      const top = work[work.length - 1]!;
      const next = top.next[top.at];
      if (next !== undefined) {
        top.at += 1;
        if (!index.has(next)) enter(next);
        else if (isWaiting.has(next)) low.set(top.name, Math.min(low.get(top.name)!, index.get(next)!));
        if (next === top.name) circular.add(next);
        continue;
      }
      work.pop();
      const above = work[work.length - 1];
      if (above) low.set(above.name, Math.min(low.get(above.name)!, low.get(top.name)!));
      if (low.get(top.name) !== index.get(top.name)) continue;
      const component: string[] = [];
      for (let name = waiting.pop()!; ; name = waiting.pop()!) {
        isWaiting.delete(name);
        component.push(name);
        if (name === top.name) break;
      }
      if (component.length > 1) for (const name of component) circular.add(name);
      order.push(...component);
    }
  }
  return { order, circular };
}

const KEPT = /^(?:inherit|unset|revert|revert-layer)$/i;

/** What an element's custom properties come to. */
export interface Computed {
  readonly values: ReadonlyMap<string, string>;
  /** Those that have no value, whatever they were registered with: what they are declared as is none. */
  readonly invalid: ReadonlySet<string>;
}

/** What is known of registered custom properties (CSS Properties and Values 1). */
export interface Registry {
  readonly initial: (name: string) => string | null;
  /** Whether it has a syntax of its own. */
  readonly isTyped: (name: string) => boolean;
  /** Whether a value is one of that. */
  readonly isValid: (name: string, value: string) => boolean;
}

/**
 * What an element's custom properties come to: those that it declares, over those that it inherits (CSS Variables 1 §3).
 * What nobody sets is what it was registered with, and is left out here. `parent` has what is not inherited too.
 */
export function computedProperties(
  declared: ReadonlyMap<string, string>,
  inherited: Computed,
  { initial, isTyped, isValid }: Registry,
  parent: Computed = inherited,
): Computed {
  const values = new Map(inherited.values);
  const invalid = new Set(inherited.invalid);
  const { order, circular } = inOrder(declared);
  const known = (name: string) => values.get(name) ?? (invalid.has(name) ? null : initial(name));
  for (const name of order) {
    const raw = declared.get(name)!;
    if (KEPT.test(raw)) {
      // Asked for, also what is not inherited comes down.
      const above = /^inherit$/i.test(raw) ? parent.values.get(name) : undefined;
      if (above !== undefined) values.set(name, above);
      continue;
    }
    const isInitial = /^initial$/i.test(raw);
    const value = circular.has(name) || isInitial ? null : substitute(raw, known)?.trim();
    invalid.delete(name);
    // One that is empty is a value like any other, and no reason for a fallback.
    if (value !== null && value !== undefined && isValid(name, value)) values.set(name, value);
    // What is invalid once it is computed has no value; one that is registered with a syntax is as if it were unset.
    else if (isInitial) values.delete(name);
    else if (!isTyped(name)) {
      values.delete(name);
      invalid.add(name);
    } else if (!inherited.values.has(name)) values.delete(name);
  }
  return { values, invalid };
}
