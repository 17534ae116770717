import { slug } from '../document/naming/names.ts';
import type { SheetBlock } from './blocks.ts';
import { nameFrom } from './sheet-names.ts';
import { readValue } from './values.ts';

/** A theme that a style sheet has, and the blocks that say what it is, weakest first. */
export interface SheetTheme {
  readonly key: string;
  readonly name: string;
  readonly blocks: readonly SheetBlock[];
}

/** What a selector says about themes: that it is for all of the page, for a named part, or nothing. */
type Scope =
  | { readonly all: true }
  /** `sure` when it says itself that it is about a theme. */
  | { readonly all: false; readonly key: string; readonly sure: boolean };

const ROOT = /^(?::root|html|body|:host|\*)$/i;
const NAMED =
  /^(?::root|html|body)?(?:\[\s*(data-[\w-]+|class)\s*[~*|^$]?=\s*["']?([\w-]+)["']?\s*(?:i\s*)?\]|\.([\w-]+))$/i;

function scopeOf(selector: string): Scope | null {
  const bare =
    selector
      .replace(/:not\([^)]*\)/gi, '')
      .replace(/:where\(([^)]*)\)/gi, '$1')
      .trim() || ':root';
  if (ROOT.test(bare)) return { all: true };
  const named = NAMED.exec(bare);
  if (!named) return null;
  const [, attribute, value, className] = named;
  const sure = /^data-.*(?:theme|scheme|mode)/i.test(attribute ?? '');
  return { all: false, key: (value ?? className!).toLowerCase(), sure };
}

const isOwn = (property: string) => property.startsWith('--');
const colorProperties = ({ declarations }: SheetBlock) =>
  declarations.filter(({ property, value }) => isOwn(property) && readValue(value) !== null);

/** What the page without a theme is, where the one that it can have is called so. */
const OTHER_OF = [
  ['dark', 'Light'],
  ['light', 'Dark'],
  ['night', 'Day'],
  ['day', 'Night'],
] as const;

/** "theme-day-sailing" as a name: Day sailing. */
function nameOf(key: string, blocks: readonly SheetBlock[]): string {
  const comment = blocks
    .map(({ heading }) => heading)
    .find((text) => text !== null && slug(text) === slug(key));
  if (comment) return nameFrom(comment, 'Theme');
  const words =
    key
      .replace(/^theme-|-theme$|-mode$/g, '')
      .replace(/[-_]+/g, ' ')
      .trim() || key;
  return nameFrom(words.charAt(0).toUpperCase() + words.slice(1), 'Theme');
}

/**
 * The themes of a style sheet: blocks for all of the page, blocks that give the same custom properties other values
 * under an attribute or a class, and colour schemes. Each theme has the blocks of all of the page beneath its own.
 * Empty when no custom property is declared for all of the page or under a name.
 */
export function themesOf(sheet: readonly SheetBlock[]): SheetTheme[] {
  const blocks = sheet
    .map((block) => ({ block, scopes: block.selectors.flatMap((selector) => scopeOf(selector) ?? []) }))
    .filter(
      ({ block, scopes }) =>
        scopes.some((scope) => !scope.all && scope.sure) ||
        (scopes.length && block.declarations.some(({ property }) => isOwn(property))),
    );
  const base = blocks.filter(({ block, scopes }) => block.scheme === null && scopes.some(({ all }) => all));
  const known = new Set(base.flatMap(({ block }) => colorProperties(block).map(({ property }) => property)));
  /** A block is a theme's when it gives much of what is declared for all of the page another value; else a part's own. */
  const enough = Math.min(3, Math.ceil(known.size / 2));
  const isTheme = ({ block, scopes }: (typeof blocks)[number]) => {
    if (scopes.some((scope) => !scope.all && scope.sure)) return true;
    const own = colorProperties(block);
    const again = own.filter(({ property }) => known.has(property)).length;
    return known.size ? again >= enough && again * 2 >= own.length : own.length >= 3;
  };
  const byKey = new Map<string, SheetBlock[]>();
  const add = (key: string, block: SheetBlock) => {
    const list = byKey.get(key) ?? [];
    byKey.set(key, list);
    if (!list.includes(block)) list.push(block);
  };
  /** Whose values a page has without asking for them. */
  let first: string | null = null;
  for (const one of blocks) {
    const { block, scopes } = one;
    const everywhere = scopes.some(({ all }) => all);
    const keys = scopes.flatMap((scope) => (scope.all ? [] : scope.key));
    if (block.scheme !== null && everywhere) add(block.scheme, block);
    if (!keys.length || (!everywhere && !isTheme(one))) continue;
    for (const key of keys) add(key, block);
    if (everywhere && block.scheme === null) first ??= keys[0]!;
  }
  const common = base.map(({ block }) => block);
  const themes = [...byKey].map(([key, own]) => ({
    key,
    name: nameOf(key, own),
    blocks: [...common.filter((block) => !own.includes(block)), ...own],
  }));
  if (common.length && first === null && !(byKey.has('light') && byKey.has('dark'))) {
    const other = OTHER_OF.find(([key]) => byKey.has(key))?.[1];
    const name = other ?? (themes.length ? 'Standard' : 'Light');
    themes.unshift({ key: '', name, blocks: common });
  }
  return themes;
}
