import type { SheetRules } from '../cascade/rules.ts';
import type { CssNames } from '../exchange/css-names.ts';
import type { Adoption } from '../sheet/adopt.ts';

/** What a custom property of a sheet becomes. */
export interface NewName {
  readonly property: string;
  /** Shades and bases are the system's own; roles and gradients have a value in each theme. */
  readonly of: 'shade' | 'role' | 'gradient';
}

const NAMED = /var\(\s*(--[^\s,()]+)/g;

/** Every custom property that a sheet declares or uses. */
function namesIn({ blocks }: SheetRules): Set<string> {
  const names = new Set<string>();
  for (const { declarations } of blocks)
    for (const { property, value } of declarations) {
      if (property.startsWith('--')) names.add(property);
      if (value.includes('var(')) for (const [, name] of value.matchAll(NAMED)) names.add(name!);
    }
  return names;
}

/**
 * What the custom properties of a sheet become in the system that it was taken into. One whose new name stands for something
 * else in the sheet keeps its own, and so does one that the sheet registers, since its name says how it moves.
 */
export function newNames(rules: SheetRules, adoption: Adoption, names: CssNames): Map<string, NewName> {
  const found = new Map<string, NewName>();
  for (const [property, { family, shade }] of adoption.shades)
    found.set(property, { property: names.shade(family, shade), of: 'shade' });
  for (const [property, family] of adoption.bases) {
    const base = names.baseProperty(family);
    if (base) found.set(property, { property: base, of: 'shade' });
  }
  for (const [property, id] of adoption.roles)
    if (property.startsWith('--')) found.set(property, { property: names.role(id), of: 'role' });
  for (const [property, id] of adoption.gradients)
    found.set(property, { property: names.gradient(id), of: 'gradient' });
  for (const property of rules.registered.keys()) found.delete(property);
  const others = [...namesIn(rules)].filter((name) => !found.has(name));
  for (const kept = new Set(others); kept.size; ) {
    const clashing = [...found].filter(([, { property }]) => kept.has(property)).map(([old]) => old);
    if (!clashing.length) break;
    for (const old of clashing) {
      found.delete(old);
      kept.add(old);
    }
  }
  return found;
}

/** Names that a sheet keeps, which nothing else may be called. */
export function keptNames(rules: SheetRules, renamed: ReadonlyMap<string, NewName>): Set<string> {
  return new Set([...namesIn(rules)].filter((name) => !renamed.has(name)));
}
