import { ROOT } from '../exchange/tokens-names.ts';
import { isTree, overlay, type ReadToken, referred, type Tree, tokensIn } from './token-tree.ts';
import { colorOfToken } from './token-values.ts';

/** The trees of tokens in a file, by theme. */
interface Themed {
  readonly themes: ReadonlyMap<string, Tree>;
  /** What is the same in all of them. */
  readonly base: Tree;
}

/** Longest chain of references that is followed. */
const LONGEST_CHAIN = 200;

/** What of a value are trees. */
export const asTrees = (value: unknown): Tree[] => (Array.isArray(value) ? value.filter(isTree) : []);

/** The themes of a resolver file: what its sets come to, and over it each context of the modifier with most of them. */
export function resolved(file: Tree, losses: string[]): Themed {
  const sets = isTree(file.sets) ? file.sets : {};
  const modifiers = isTree(file.modifiers) ? file.modifiers : {};
  const sourcesOf = (part: unknown, name: string): Tree => {
    let tree: Tree = {};
    for (const source of asTrees(part)) {
      if (typeof source.$ref === 'string' && Object.keys(source).length === 1) {
        const set = /^#\/sets\/(.+)$/.exec(source.$ref);
        if (set && isTree(sets[set[1]!]))
          tree = overlay(tree, sourcesOf((sets[set[1]!] as Tree).sources, name));
        else losses.push(`${name} points to ${source.$ref}, a file that is not in this one.`);
      } else tree = overlay(tree, source);
    }
    return tree;
  };
  let base: Tree = {};
  for (const [name, set] of Object.entries(sets))
    if (isTree(set)) base = overlay(base, sourcesOf(set.sources, `The set ${name}`));
  const all = Object.entries(modifiers).filter((entry): entry is [string, Tree] => isTree(entry[1]));
  const contextsOf = (modifier: Tree) => (isTree(modifier.contexts) ? modifier.contexts : {});
  const [main, ...others] = [...all].sort(
    ([, a], [, b]) => Object.keys(contextsOf(b)).length - Object.keys(contextsOf(a)).length,
  );
  for (const [name, modifier] of others) {
    const usual =
      typeof modifier.default === 'string' ? modifier.default : Object.keys(contextsOf(modifier))[0];
    losses.push(
      `The modifier ${name}, of which only ${usual ?? 'nothing'} is taken: themes here differ in one thing.`,
    );
    if (usual !== undefined)
      base = overlay(base, sourcesOf(contextsOf(modifier)[usual], `${name}, ${usual}`));
  }
  const themes = new Map<string, Tree>();
  if (main)
    for (const [name, context] of Object.entries(contextsOf(main[1])))
      themes.set(name, overlay(base, sourcesOf(context, name)));
  return { themes, base };
}

/** A path as one text, by which tokens are looked up. */
export const key = (path: readonly string[]) => path.join('\u0000');

/** The tokens of one theme, with what they refer to. */
export class ThemeTokens {
  readonly tokens: readonly ReadToken[];
  private readonly byPath = new Map<string, ReadToken>();

  constructor(tree: Tree) {
    this.tokens = tokensIn(tree);
    for (const token of this.tokens) this.byPath.set(key(token.path), token);
  }

  at(path: readonly string[]): ReadToken | null {
    return this.byPath.get(key(path)) ?? this.byPath.get(key([...path, ROOT])) ?? null;
  }

  /** The token that a token comes to in the end; null where a reference leads nowhere. */
  end(token: ReadToken): ReadToken | null {
    let at: ReadToken | null = token;
    for (let i = 0; at && i < LONGEST_CHAIN; i++) {
      const path = referred(at.value);
      if (!path) return at;
      at = this.at(path);
    }
    return null;
  }

  colorOf(token: ReadToken): string | null {
    const end = this.end(token);
    return end && colorOfToken(end.value);
  }

  isColor(token: ReadToken): boolean {
    const type = token.type ?? this.end(token)?.type;
    return (type === 'color' || type === undefined || type === null) && this.colorOf(token) !== null;
  }

  isGradient(token: ReadToken): boolean {
    return (token.type ?? this.end(token)?.type) === 'gradient' && Array.isArray(this.end(token)?.value);
  }
}
