import { slug } from '../document/naming/names.ts';
import type { StopSource } from './linked-gradient.ts';
import { keyOf, type PairSide, type RulePair } from './rule-pairs.ts';
import type { RuleUse, UsedColor } from './rule-uses.ts';
import { MOST_FOUND } from './sheet-names.ts';
import type { SheetRole } from './sheet-roles.ts';

/** A pair that a sheet's rules set, by the keys of its roles. */
export interface SheetPair {
  /** Unique among them. */
  readonly key: string;
  readonly text: string;
  readonly ground: string;
  /** How many rules set it, and the first of them. */
  readonly count: number;
  readonly selectors: readonly string[];
}

/** Roles that are proposed from rules: nobody goes through more. */
const MOST_ROLES = 48;
const MOST_PAIRS = 200;

/** Words of selectors that say nothing of what is painted. */
const EMPTY_WORDS = /^(?:.|is|has|not|where|root|html|div|span|before|after|hover|focus|active|\d+)$/;
/** States that a name tells, where a colour stands in no other. */
const STATES = [
  ['hover', /:hover|[.-]hover\b/],
  ['active', /:active|[.-]active\b/],
  ['focus', /:focus/],
  ['disabled', /:disabled|\[disabled|[.-]disabled\b/],
] as const;

/** The words of a selector's last part: its class, else its id, else its type. */
function wordsOf(selector: string): string {
  const last = selector
    .replace(/\([^()]*\)|\[[^\]]*\]|::?[\w-]+/g, '')
    .trim()
    .split(/[\s>+~]+/)
    .at(-1);
  const name = last?.match(/\.([\w-]+)/)?.[1] ?? last?.match(/#([\w-]+)/)?.[1] ?? last?.match(/^[\w-]+/)?.[0];
  return slug(name ?? '');
}

/** What most classes of a sheet begin with, such as `acme-`; empty where they do not. */
function classPrefix(selectors: Iterable<string>): string {
  const counts = new Map<string, number>();
  let all = 0;
  for (const selector of selectors) {
    const word = /\.([a-zA-Z]+)-/.exec(selector)?.[1];
    all += 1;
    if (word) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most && most[1] > all * 0.6 ? `${most[0].toLowerCase()}-` : '';
}

const PAGE = /^(?::root|html|body)$/;
const LINKS = /^a(?::[\w-]+)*$/;

/** What a colour in rules is called by where it stands. */
function nameBy(use: RuleUse, selectors: readonly string[], prefix: string): string {
  if (selectors.some((selector) => PAGE.test(selector))) return use === 'text' ? 'main' : 'page';
  if (use === 'text' && selectors.some((selector) => LINKS.test(selector))) return 'link';
  const counts = new Map<string, number>();
  for (const selector of selectors) {
    const words = wordsOf(selector);
    const word = words.startsWith(prefix) ? words.slice(prefix.length) : words;
    if (word && !EMPTY_WORDS.test(word)) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  const state = STATES.find(([, sign]) => selectors.every((selector) => sign.test(selector)))?.[0];
  const name = most?.[0].slice(0, MOST_FOUND - 24) ?? use;
  return state && !name.endsWith(state) ? `${name}-${state}` : name;
}

interface Asked {
  readonly uses: readonly UsedColor[];
  readonly pairs: readonly RulePair[];
  readonly themes: readonly string[];
  /** Roles that custom properties come to. */
  readonly roles: readonly SheetRole[];
  /** The role whose custom property is a colour in every theme. */
  readonly roleOfColor: (color: string) => string | null;
}

/**
 * Roles and pairs that are proposed from rules: a role for each use of a colour that is written more than once or stands in a
 * pair and that no custom property is; pairs between these and the roles of custom properties.
 */
export function rolesOfRules({ uses, pairs, themes, roles, roleOfColor }: Asked): {
  readonly roles: SheetRole[];
  readonly pairs: SheetPair[];
} {
  const properties = new Set(roles.map(({ property }) => property));
  const names = new Set(roles.map(({ group, name }) => slug([...group, name].join('-'))));
  const prefix = classPrefix(uses.flatMap(({ selectors }) => selectors.slice(0, 20)));
  const usesByKey = new Map(uses.map((one) => [one.key, one]));
  const made = new Map<string, SheetRole>();
  const free = (use: string, wanted: string) => {
    let name = wanted;
    for (let n = 2; names.has(slug(`${use}-${name}`)); n++) name = `${wanted}-${n}`;
    names.add(slug(`${use}-${name}`));
    return name;
  };
  const make = (key: string, use: RuleUse, selectors: readonly string[], sources: SheetRole['sources']) => {
    const name = free(use, nameBy(use, selectors, prefix));
    made.set(key, { property: key, group: [use], name, sources });
    return key;
  };
  const fromUse = (one: UsedColor) =>
    make(
      one.key,
      one.use,
      one.selectors,
      new Map(
        themes.map((key): [string, StopSource] => [
          key,
          { to: 'color', color: one.others.get(key) ?? one.color },
        ]),
      ),
    );
  /** The role that a side of a pair is; one is made where there is none. */
  const roleOf = (side: PairSide, use: 'text' | 'ground', selectors: readonly string[]): string | null => {
    if (side.to === 'property') {
      if (properties.has(side.property)) return side.property;
      const key = `${use} ${side.property}`;
      if (made.has(key)) return key;
      return made.size < MOST_ROLES
        ? make(key, use, selectors, new Map(themes.map((theme) => [theme, { ...side, opacity: 1 }] as const)))
        : null;
    }
    const own = roleOfColor(side.color);
    if (own !== null) return own;
    const used = usesByKey.get(`${use} ${side.color}`);
    if (!used) return null;
    if (made.has(used.key)) return used.key;
    return made.size < MOST_ROLES ? fromUse(used) : null;
  };
  const proposed: SheetPair[] = [];
  for (const { text, ground, count, selectors } of pairs) {
    if (proposed.length >= MOST_PAIRS) break;
    // Both, or none: a role that is made for nothing is not proposed.
    const [a, b] = [roleOf(text, 'text', selectors), roleOf(ground, 'ground', selectors)];
    if (a === null || b === null || a === b) continue;
    proposed.push({ key: `${keyOf(text)} on ${keyOf(ground)}`, text: a, ground: b, count, selectors });
  }
  for (const one of uses)
    if (
      made.size < MOST_ROLES &&
      one.use !== 'gradient' &&
      !made.has(one.key) &&
      one.count > 1 &&
      roleOfColor(one.color) === null
    )
      fromUse(one);
  const order = new Map(uses.map(({ key }, i) => [key, i]));
  const uniquePairs = new Map(proposed.map((pair) => [`${pair.text} ${pair.ground}`, pair]));
  return {
    roles: [...made.values()].sort(
      (a, b) =>
        USE_ORDER.indexOf(a.group[0]!) - USE_ORDER.indexOf(b.group[0]!) ||
        (order.get(a.property) ?? -1) - (order.get(b.property) ?? -1),
    ),
    pairs: [...uniquePairs.values()],
  };
}

const USE_ORDER = ['text', 'ground', 'line', 'shadow', 'drawing'];
