import type { SheetBlock } from '../cascade/rules.ts';
import { readColor } from '../color/parse.ts';
import { colorsOf } from './counted-colors.ts';
import { GRADIENT } from './values.ts';

/** One side of a pair: a custom property of the page, or a colour that is written out. */
export type PairSide =
  | { readonly to: 'property'; readonly property: string }
  | { readonly to: 'color'; readonly color: string };

/** A text and the ground that rules put it on. */
export interface RulePair {
  readonly text: PairSide;
  readonly ground: PairSide;
  /** How many rules do. */
  readonly count: number;
  /** The first of them. */
  readonly selectors: readonly string[];
}

const TEXT = /^(?:-webkit-text-fill-)?color$/i;
const GROUND = /^background(?:-color)?$/i;
const VAR = /^var\(\s*(--[^\s,()]+)\s*(?:,([\s\S]*))?\)$/;
const INNER_VAR = /var\(\s*(--[^\s,()]+)/g;
const MOST_PLACES = 6;
const DEEPEST = 8;

/** What a block sets for the part of a page that it means. */
const ownOf = (block: SheetBlock) =>
  new Map(
    block.declarations.flatMap(({ property, value }) =>
      property.startsWith('--') ? [[property, value] as const] : [],
    ),
  );

export const keyOf = (side: PairSide) => (side.to === 'property' ? side.property : side.color);

/** Reads what stands for a colour in a rule. */
function sideOf(
  value: string,
  own: ReadonlyMap<string, string>,
  isKnown: (property: string) => boolean,
  depth = 0,
): PairSide | null {
  if (depth > DEEPEST || value.length > 500 || GRADIENT.test(value) || /\burl\(|-gradient\(/.test(value))
    return null;
  const whole = VAR.exec(value.trim());
  if (whole) {
    const [, property, fallback] = whole;
    const set = own.get(property!);
    if (set !== undefined) return sideOf(set, own, isKnown, depth + 1);
    if (isKnown(property!)) return { to: 'property', property: property! };
    return fallback === undefined ? null : sideOf(fallback, own, isKnown, depth + 1);
  }
  const inner = [...value.matchAll(INNER_VAR)].map(([, name]) => name!);
  // `var(--surface) no-repeat`, and no colour that is put together from one.
  if (inner.length)
    return inner.length === 1 &&
      isKnown(inner[0]!) &&
      !/\b(?:rgb|hsl|color|oklch|oklab|lab|lch|hwb|calc)/.test(value)
      ? { to: 'property', property: inner[0]! }
      : null;
  const colors = colorsOf(value);
  return colors.length === 1 ? { to: 'color', color: colors[0]!.color } : null;
}

/** The variables that some rule paints a text and its ground with, which parts of a page set. */
interface Template {
  readonly text: string;
  readonly ground: string;
}

const lastOf = (block: SheetBlock, property: RegExp) =>
  block.declarations.findLast((one) => property.test(one.property));
const isSolid = (side: PairSide) => side.to === 'property' || readColor(side.color).alpha === 1;

/** Selectors of elements by their type, which stand on the page itself. */
const PLAIN = /^(?:a|p|h[1-6]|li|label|small|strong|em|code|dt|dd|figcaption|legend|summary)(?::[\w-]+)*$/;
const PAGE = /^(?::root|html|body|:host)$/;

/**
 * The pairs of text and ground that rules set: in one rule; by variables which a part of a page sets for both; and by
 * elements of a type on the page. `isKnown` says what a custom property of the page is.
 */
export function rulesPairs(
  blocks: readonly SheetBlock[],
  isKnown: (property: string) => boolean,
): RulePair[] {
  const found = new Map<
    string,
    { text: PairSide; ground: PairSide; count: number; selectors: Set<string> }
  >();
  const add = (text: PairSide | null, ground: PairSide | null, selectors: readonly string[]) => {
    if (!text || !ground || !isSolid(ground) || keyOf(text) === keyOf(ground)) return;
    const key = `${keyOf(text)} ${keyOf(ground)}`;
    const one = found.get(key) ?? { text, ground, count: 0, selectors: new Set<string>() };
    found.set(key, one);
    one.count += 1;
    for (const selector of selectors) if (one.selectors.size < MOST_PLACES) one.selectors.add(selector);
  };
  const templates = new Map<string, Template>();
  let page: PairSide | null = null;
  const onPage: { text: PairSide; selectors: readonly string[] }[] = [];
  for (const block of blocks) {
    const [text, ground] = [lastOf(block, TEXT), lastOf(block, GROUND)];
    if (!text && !ground) continue;
    const own = ownOf(block);
    const side = (value: string) => sideOf(value, own, isKnown);
    const isPages = block.selectors.some((selector) => PAGE.test(selector)) && !block.around.length;
    if (ground && isPages) page = side(ground.value) ?? page;
    if (!text) continue;
    if (ground) {
      add(side(text.value), side(ground.value), block.selectors);
      const [a, b] = [VAR.exec(text.value)?.[1], VAR.exec(ground.value)?.[1]];
      if (a && b && !own.has(a) && !own.has(b) && templates.size < 400)
        templates.set(`${a} ${b}`, { text: a, ground: b });
    } else if (isPages || block.selectors.every((selector) => PLAIN.test(selector))) {
      const plain = side(text.value);
      if (plain) onPage.push({ text: plain, selectors: block.selectors });
    }
  }
  if (page && isSolid(page)) for (const { text, selectors } of onPage) add(text, page, selectors);
  const byText = groupedByText(templates.values());
  if (byText.size)
    for (const block of blocks) {
      const own = ownOf(block);
      for (const name of own.keys())
        for (const { text, ground } of byText.get(name) ?? [])
          if (own.has(ground) && !isKnown(text) && !isKnown(ground))
            add(
              sideOf(own.get(text)!, own, isKnown),
              sideOf(own.get(ground)!, own, isKnown),
              block.selectors,
            );
    }
  return [...found.values()]
    .map(({ text, ground, count, selectors }) => ({ text, ground, count, selectors: [...selectors] }))
    .sort((a, b) => b.count - a.count);
}

function groupedByText(templates: Iterable<Template>): Map<string, Template[]> {
  const groups = new Map<string, Template[]>();
  for (const one of templates) groups.set(one.text, [...(groups.get(one.text) ?? []), one]);
  return groups;
}
