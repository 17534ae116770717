import type { SheetBlock, SheetDeclaration } from '../cascade/rules.ts';
import { readPageSelector } from '../cascade/selectors.ts';
import { colorsOf } from './counted-colors.ts';
import type { SheetTheme } from './theme-blocks.ts';
import { GRADIENT } from './values.ts';

/** What a colour does on a page. */
export type RuleUse = 'text' | 'ground' | 'line' | 'shadow' | 'gradient' | 'drawing';

/** A colour that is written out in rules, by what it is used for. */
export interface UsedColor {
  /** Unique among them. */
  readonly key: string;
  readonly use: RuleUse;
  /** With its opacity. */
  readonly color: string;
  /** How often it is written. */
  readonly count: number;
  /** Where, each once, in order: the first of them, and how many there are. */
  readonly selectors: readonly string[];
  readonly places: number;
  /** Of the first: the sheet, empty where there is but one, and the line in it. */
  readonly file: string;
  readonly line: number;
  /** What stands in its place in themes that say so, by theme key. */
  readonly others: ReadonlyMap<string, string>;
}

/** By the words of a property; those of custom properties, which parts of a page set for themselves, count alike. */
const USES: readonly (readonly [RuleUse, RegExp])[] = [
  ['shadow', /shadow|filter/],
  ['line', /border|outline|rule|stroke|decoration|line|ring|divider/],
  ['drawing', /^(?:fill|stop-color|flood-color|lighting-color|-webkit-mask|mask)/],
  ['ground', /background|\bbg\b|surface|ground|canvas|fill|accent-color|scrollbar|track|thumb/],
  ['text', /color|text|\bfg\b|caret|ink|emphasis/],
];

/** What a property paints; null where it is no paint. */
export function useOf({ property, value }: SheetDeclaration): RuleUse | null {
  const name = property.toLowerCase();
  if (/^(?:content|font|transition|animation|grid|will-change|color-scheme)/.test(name)) return null;
  const use = USES.find(([, words]) => words.test(name))?.[0] ?? null;
  return use !== null && GRADIENTS.test(value) ? 'gradient' : use;
}
const GRADIENTS = new RegExp(GRADIENT.source.replace('^', '\\b'), 'i');

/** The selector of a rule in a theme without what says that it is that theme's; null where it says nothing of it. */
export function withinTheme(selector: string, { state }: Pick<SheetTheme, 'state'>): string | null {
  const space = /^(?:\[[^\]]*\]|\([^)]*\)|[^\s[(])+\s+(?=[^>+~\s])/.exec(selector);
  if (!space) return null;
  const page = readPageSelector(space[0].trim());
  const isIts = page?.ways.some(
    (way) =>
      way.length > 0 &&
      way.every((mark) =>
        state.marks.some(
          (own) =>
            own.kind === mark.kind &&
            own.value === mark.value &&
            (own.kind === 'class' || (mark.kind === 'attribute' && own.name === mark.name)),
        ),
      ),
  );
  return isIts ? selector.slice(space[0].length) : null;
}

interface Found {
  readonly use: RuleUse;
  readonly color: string;
  readonly line: number;
  count: number;
  readonly selectors: Set<string>;
  /** Places, as {@link placeOf} writes them. */
  readonly places: Set<string>;
}

const placeOf = (use: RuleUse, selector: string) => `${use} ${selector}`;
const LONGEST = 2000;
const MOST_SELECTORS = 60;

/**
 * The colours that rules write out, by what they are used for, those that are written most first: `blocks` are rules that
 * are of parts of a page, `themes` those of the sheet, the first being what a page has without asking.
 */
export function rulesUses(blocks: readonly SheetBlock[], themes: readonly SheetTheme[]): UsedColor[] {
  const found = new Map<string, Found>();
  /** What stands at a place in a theme, by theme key. */
  const inThemes = new Map<string, Map<string, string>>();
  const [first, ...others] = themes;
  const themeOf = (block: SheetBlock, selector: string): { key: string; rest: string } | null => {
    for (const theme of others) {
      const rest = withinTheme(selector, theme);
      if (rest !== null) return { key: theme.key, rest };
    }
    const { scheme, contrast } = block.asks;
    if (!scheme && !contrast) return null;
    const device = first?.state.device;
    if ((!scheme || scheme === device?.scheme) && (!contrast || contrast === device?.contrast)) return null;
    const asked = others.find(
      ({ state }) =>
        (!scheme || state.device.scheme === scheme) && (!contrast || state.device.contrast === contrast),
    );
    return asked ? { key: asked.key, rest: selector } : null;
  };
  for (const block of blocks)
    for (const declaration of block.declarations) {
      const use = declaration.value.length > LONGEST ? null : useOf(declaration);
      if (use === null) continue;
      for (const { color, count } of colorsOf(declaration.value)) {
        const own: string[] = [];
        for (const selector of block.selectors) {
          const there = themeOf(block, selector);
          if (!there) own.push(selector);
          else {
            const places = inThemes.get(there.key) ?? new Map<string, string>();
            inThemes.set(there.key, places);
            places.set(placeOf(use, there.rest), color);
          }
        }
        if (!own.length) continue;
        const key = `${use} ${color}`;
        let one = found.get(key);
        if (!one) {
          one = { use, color, line: declaration.line, count: 0, selectors: new Set(), places: new Set() };
          found.set(key, one);
        }
        one.count += count;
        for (const selector of own) {
          one.selectors.add(selector);
          one.places.add(placeOf(use, selector));
        }
      }
    }
  return [...found]
    .map(([key, { use, color, line, count, selectors, places }]): UsedColor => {
      const instead = new Map<string, string>();
      for (const [theme, colors] of inThemes) {
        const there = [...places].flatMap((place) => colors.get(place) ?? []);
        // It becomes another colour where all of them become that one.
        if (there.length === places.size && new Set(there).size === 1) instead.set(theme, there[0]!);
      }
      const first = [...selectors].slice(0, MOST_SELECTORS);
      const where = { selectors: first, places: selectors.size, file: '', line };
      return { key, use, color, count, ...where, others: instead };
    })
    .sort((a, b) => b.count - a.count);
}

/** Of each use, the colours and how often they are written. */
export type UseCounts = Readonly<
  Partial<Record<RuleUse, { readonly colors: number; readonly written: number }>>
>;

/** Counts used colours by their use. */
export function countsOf(uses: readonly UsedColor[]): UseCounts {
  const sums: Partial<Record<RuleUse, { colors: number; written: number }>> = {};
  for (const { use, count } of uses) {
    const one = sums[use] ?? { colors: 0, written: 0 };
    sums[use] = { colors: one.colors + 1, written: one.written + count };
  }
  return sums;
}
