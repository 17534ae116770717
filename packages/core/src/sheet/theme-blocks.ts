import type { PageState } from '../cascade/page.ts';
import type { SheetBlock } from '../cascade/rules.ts';
import { type Mark, readPageSelector } from '../cascade/selectors.ts';
import { slug } from '../document/naming/names.ts';
import { nameFrom } from './sheet-names.ts';
import { readValue } from './values.ts';

/** A theme that a style sheet has, and the page that has it. */
export interface SheetTheme {
  readonly key: string;
  readonly name: string;
  /** The blocks that say what it is. */
  readonly blocks: readonly SheetBlock[];
  readonly state: PageState;
}

/** What a selector says about themes: that it is for all of the page, or for one with marks. */
interface Scope {
  /** Of the theme: its marks, and what is asked of who looks; empty for all of the page. */
  readonly key: string;
  readonly marks: readonly Mark[];
  /** When it says itself that it is about a theme. */
  readonly sure: boolean;
}

const SURE = /^data-.*(?:theme|scheme|mode|contrast|appearance|palette|skin|brand)/i;

/** A mark as a part of a theme's key: an attribute that is on or off by its own name. */
const wordOf = (mark: Mark) =>
  (mark.kind === 'attribute' && /^(?:true|on|1)$/i.test(mark.value)
    ? mark.name.replace(/^data-/, '')
    : mark.value
  ).toLowerCase();

function scopesOf(block: SheetBlock): Scope[] {
  const { scheme, contrast } = block.asks;
  const asked = [...(scheme ? [scheme] : []), ...(contrast ? ['more-contrast'] : [])];
  return block.selectors.flatMap((selector) => {
    const read = readPageSelector(selector);
    return (read?.ways ?? []).map((marks): Scope => {
      const words = [...new Set([...marks.map(wordOf), ...asked])];
      const isSure = (mark: Mark) => mark.kind === 'attribute' && SURE.test(mark.name);
      return { key: words.join(' '), marks, sure: marks.length ? marks.every(isSure) : asked.length > 0 };
    });
  });
}

const isOwn = (property: string) => property.startsWith('--');
/** Whether a value may come to a colour: some are put together from numbers. */
const mayColor = (value: string) => readValue(value) !== null || /\bvar\(/.test(value);
const colorProperties = ({ declarations }: SheetBlock) =>
  declarations.filter(({ property, value }) => isOwn(property) && mayColor(value));

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
      .split(' ')
      .map((word) => word.replace(/^theme-|-theme$|-mode$/g, ''))
      .join(' ')
      .replace(/[-_]+/g, ' ')
      .trim() || key;
  return nameFrom(words.charAt(0).toUpperCase() + words.slice(1), 'Theme');
}

/** Themes of more than this many are not told apart any more. */
const MOST_KEYS = 200;

/**
 * The themes of a style sheet: blocks for all of the page, blocks that give the same custom properties other values
 * under attributes or classes, in any combination, colour schemes and more contrast; and the other side of `light-dark()`.
 * Empty when no custom property is declared for all of the page or under a name.
 */
export function themesOf(sheet: readonly SheetBlock[]): SheetTheme[] {
  const blocks = sheet
    .filter(({ declarations }) =>
      declarations.some(({ property }) => isOwn(property) || SCHEME.test(property)),
    )
    .map((block) => ({ block, scopes: scopesOf(block) }))
    .filter(({ scopes }) => scopes.length > 0);
  const isBase = ({ block, scopes }: (typeof blocks)[number]) =>
    !block.asks.scheme && !block.asks.contrast && scopes.some(({ key }) => !key);
  const base = blocks.filter(isBase);
  const known = new Set(base.flatMap(({ block }) => colorProperties(block).map(({ property }) => property)));
  /** A block is a theme's when it gives much of what is declared for all of the page another value; else a part's own. */
  const enough = Math.min(3, Math.ceil(known.size / 2));
  const isTheme = ({ block }: (typeof blocks)[number]) => {
    const own = colorProperties(block);
    const again = own.filter(({ property }) => known.has(property)).length;
    return known.size ? again >= enough && again * 2 >= own.length : own.length >= 3;
  };
  const byKey = new Map<string, { blocks: SheetBlock[]; marks: Mark[] }>();
  const add = ({ key, marks }: Scope, block: SheetBlock) => {
    if (!byKey.has(key) && byKey.size >= MOST_KEYS) return;
    const one = byKey.get(key) ?? { blocks: [], marks: [] };
    byKey.set(key, one);
    if (!one.blocks.includes(block)) one.blocks.push(block);
    for (const mark of marks)
      if (!one.marks.some((other) => other.kind === mark.kind && nameOfMark(other) === nameOfMark(mark)))
        one.marks.push(mark);
  };
  /** Whose values a page has without asking for them. */
  let first: string | null = null;
  for (const one of blocks) {
    const everywhere = isBase(one);
    const theme = isTheme(one);
    for (const scope of one.scopes) {
      if (!scope.key || (!everywhere && !scope.sure && !theme)) continue;
      add(scope, one.block);
      if (everywhere) first ??= scope.key;
    }
  }
  // `light-dark()` has another side where nothing else has.
  const isTwofold = blocks.some(({ block }) => block.declarations.some(({ value }) => TWOFOLD.test(value)));
  if (isTwofold && !byKey.has('dark')) byKey.set('dark', { blocks: [], marks: [] });

  const common = base.map(({ block }) => block);
  const themes = [...byKey].map(([key, one]): SheetTheme => {
    const words = key.split(' ');
    const asks = (word: string) =>
      words.includes(word) &&
      (!one.blocks.length || one.blocks.some(({ asks: { scheme } }) => scheme === word));
    return {
      key,
      name: nameOf(key, one.blocks),
      blocks: [...common.filter((block) => !one.blocks.includes(block)), ...one.blocks],
      state: {
        marks: one.marks,
        device: {
          scheme: asks('dark') ? 'dark' : 'light',
          contrast: words.includes('more-contrast') ? 'more' : 'no-preference',
        },
      },
    };
  });
  if (common.length && first === null && !(byKey.has('light') && byKey.has('dark'))) {
    const other = OTHER_OF.find(([key]) => byKey.has(key))?.[1];
    const name = other ?? (themes.length ? 'Standard' : 'Light');
    const device = { scheme: other === 'Dark' ? 'dark' : 'light', contrast: 'no-preference' } as const;
    themes.unshift({ key: '', name, blocks: common, state: { marks: [], device } });
  }
  return themes;
}

const SCHEME = /^color-scheme$/i;
const TWOFOLD = /\blight-dark\(/i;
const nameOfMark = (mark: Mark) => (mark.kind === 'class' ? mark.value : mark.name);
