/** A token of a file, wherever it stands: older notations have no dollar signs. */
export interface ReadToken {
  readonly path: readonly string[];
  readonly type: string | null;
  readonly value: unknown;
  readonly description: string | null;
  /** What is to be used instead, or nothing in particular. */
  readonly deprecated: string | null;
  readonly extensions: Readonly<Record<string, unknown>>;
}

export type Tree = { readonly [key: string]: unknown };

export const isTree = (value: unknown): value is Tree =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const DEEPEST = 40;
const MOST_TOKENS = 60_000;

const own = (tree: Tree, ...keys: readonly string[]): unknown => {
  for (const key of keys) if (Object.hasOwn(tree, key)) return tree[key];
  return undefined;
};

const textOf = (value: unknown): string | null => (typeof value === 'string' ? value : null);

/**
 * All tokens of a tree, in order; types come from the groups around them. Goes no deeper than 40 groups and finds no more
 * than 60,000 tokens.
 */
export function tokensIn(tree: Tree): ReadToken[] {
  const out: ReadToken[] = [];
  const walk = (node: Tree, path: readonly string[], inherited: string | null, depth: number) => {
    if (depth > DEEPEST || out.length >= MOST_TOKENS) return;
    const type =
      textOf(own(node, '$type', ...(own(node, 'value') === undefined ? [] : ['type']))) ?? inherited;
    const value = own(
      node,
      '$value',
      ...(isTree(own(node, 'value')) && !('$type' in node) && !('type' in node) ? [] : ['value']),
    );
    if (value !== undefined) {
      const deprecated = own(node, '$deprecated');
      out.push({
        path,
        type,
        value,
        description: textOf(own(node, '$description', 'description', 'comment')),
        deprecated: deprecated === true ? '' : textOf(deprecated),
        extensions: isTree(own(node, '$extensions')) ? (own(node, '$extensions') as Tree) : {},
      });
      return;
    }
    for (const [key, inner] of Object.entries(node))
      if (isTree(inner) && (!key.startsWith('$') || key === '$root'))
        walk(inner, [...path, key], type, depth + 1);
  };
  walk(tree, [], null, 0);
  return out;
}

/** Two trees as one, the second over the first. */
export function overlay(below: Tree, above: Tree, depth = 0): Tree {
  if (depth > DEEPEST) return above;
  const out = new Map<string, unknown>(Object.entries(below));
  for (const [key, value] of Object.entries(above)) {
    const before = out.get(key);
    const isToken = isTree(value) && ('$value' in value || 'value' in value);
    out.set(key, isTree(before) && isTree(value) && !isToken ? overlay(before, value, depth + 1) : value);
  }
  return Object.fromEntries(out);
}

/** The path that a reference leads to: `{a.b}`, in older files `{a.b.value}`, or a JSON pointer; null for what is none. */
export function referred(value: unknown): readonly string[] | null {
  if (isTree(value) && typeof value.$ref === 'string') {
    const parts = value.$ref
      .replace(/^#\//, '')
      .split('/')
      .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));
    return parts[parts.length - 1] === '$value' ? parts.slice(0, -1) : parts;
  }
  const found = typeof value === 'string' ? /^\{([^{}]+)\}$/.exec(value.trim()) : null;
  if (!found) return null;
  const parts = found[1]!.split('.');
  return parts.length > 1 && parts[parts.length - 1] === 'value' ? parts.slice(0, -1) : parts;
}
