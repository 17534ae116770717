import type { PageProperty, PageValues } from '../cascade/page.ts';
import type { SheetBlock, SheetDeclaration } from '../cascade/rules.ts';
import { parseColor, readColor } from '../color/parse.ts';
import { SYSTEM_COLORS } from '../color/unfixed.ts';
import { paint } from '../system/painted.ts';
import { asPainted } from './as-painted.ts';
import { GRADIENT, isBareHex, readValue, type SheetValue } from './values.ts';

/** A custom property that is a colour or a gradient, or leads to one, with its value in each theme. */
export interface SheetProperty {
  readonly name: string;
  /** By theme key; a theme in which it has none, or none that can be read, is missing. */
  readonly values: ReadonlyMap<string, SheetValue>;
  /** The colour that it comes to, by theme key; a theme in which it comes to none is missing. */
  readonly colors: ReadonlyMap<string, string>;
  /** Where it has a value first. */
  readonly declaration: SheetDeclaration;
  /** The block of that. */
  readonly block: SheetBlock;
}

/** A custom property that is a colour, but not a fixed one, and what it depends on. */
export interface UnfixedProperty {
  readonly property: string;
  readonly on: 'currentcolor' | 'system';
}

const CURRENT = /\bcurrentcolor\b/i;

const known = new Map<string, string | null>();

/** The colour that a computed value is, as browsers paint it; null where it is none, or no fixed one. */
function colorOf(value: string, scheme: 'light' | 'dark'): string | null {
  const key = `${scheme} ${value}`;
  let color = known.get(key);
  if (color === undefined) {
    const parsed = isBareHex(value) ? null : parseColor(value, scheme);
    color = parsed?.ok ? asPainted(parsed.color) : null;
    if (known.size > 20_000) known.clear();
    known.set(key, color);
  }
  return color;
}

/** Whether two colours are painted with the same bytes. */
const isSame = (a: string, b: string): boolean => {
  if (a === b) return true;
  const [x, y] = [paint(a), paint(b)];
  // Of what nothing is seen, the colour is none.
  if (x.alpha < 1 / 510 && y.alpha < 1 / 510) return true;
  return x.r === y.r && x.g === y.g && x.b === y.b && Math.abs(x.alpha - y.alpha) < 1 / 510;
};

/** The value of a property as it is declared, as long as it comes to what the page has. */
function valueOn(
  { value, declaration }: PageProperty,
  color: string | null,
  colorsOfOthers: (name: string) => string | null | undefined,
): SheetValue | null {
  const raw = readValue(declaration.value);
  if (color === null) {
    if (raw?.to === 'property' && raw.opacity === 1 && GRADIENT.test(value)) return raw;
    if (!GRADIENT.test(value)) return null;
    // Variables as stops are links; others are put in.
    return {
      to: 'gradient',
      text: raw?.to === 'gradient' && !/\b(?:calc|env)\(/.test(raw.text) ? raw.text : value,
    };
  }
  if (raw?.to === 'property') {
    const other = colorsOfOthers(raw.property);
    if (other) {
      const under = readColor(other);
      const faded =
        raw.opacity === 1 ? other : asPainted({ ...under, alpha: (under.alpha ?? 0) * raw.opacity });
      if (isSame(faded, color)) return raw;
    }
  }
  return { to: 'color', color };
}

/**
 * The custom properties of a sheet that have to do with colour, in order of first appearance in its `blocks`. `pages`: what
 * the sheet comes to in each theme, by key.
 */
export function propertiesOf(
  blocks: readonly SheetBlock[],
  pages: ReadonlyMap<string, PageValues>,
): {
  readonly properties: Map<string, SheetProperty>;
  readonly unfixed: readonly UnfixedProperty[];
} {
  const found = new Map<
    string,
    Omit<SheetProperty, 'name'> & { values: Map<string, SheetValue>; colors: Map<string, string> }
  >();
  const unfixed = new Map<string, UnfixedProperty['on']>();
  const inOrder = new Map<string, number>();
  for (const { declarations } of blocks)
    for (const { property } of declarations) if (!inOrder.has(property)) inOrder.set(property, inOrder.size);
  for (const [key, { properties, scheme }] of pages) {
    const colors = new Map<string, string | null>();
    const colorIn = (name: string) => {
      let color = colors.get(name);
      if (color === undefined) {
        const own = properties.get(name);
        color = own ? colorOf(own.value, scheme) : null;
        colors.set(name, color);
      }
      return color;
    };
    for (const [name, property] of properties) {
      const color = colorIn(name);
      if (color === null && property.value.length < 2000) {
        if (CURRENT.test(property.value) && isColorWith(property.value, CURRENT))
          unfixed.set(name, 'currentcolor');
        else if (SYSTEM_COLORS.test(property.value) && isColorWith(property.value, SYSTEM_COLORS))
          unfixed.set(name, 'system');
      }
      const value = valueOn(property, color, colorIn);
      if (!value) continue;
      let one = found.get(name);
      if (!one) {
        const { declaration, block } = property;
        one = { values: new Map(), colors: new Map(), declaration, block };
        found.set(name, one);
      }
      one.values.set(key, value);
      if (color !== null) one.colors.set(key, color);
    }
    breakCircles(found, key);
  }
  const properties = [...found]
    .filter(
      ([, { values, colors }]) =>
        colors.size || [...values.values()].some(({ to }) => to === 'gradient') || leads(values, found),
    )
    .sort(([a], [b]) => inOrder.get(a)! - inOrder.get(b)!)
    .map(([name, one]) => [name, { name, ...one }] as const);
  return {
    properties: new Map(properties),
    unfixed: [...unfixed].map(([property, on]) => ({ property, on })),
  };
}

/**
 * Puts the colour in place of links that lead back: `--red: rgb(var(--red-rgb))` is read as a link to the property that the
 * channels stand beside, which may be the same one.
 */
function breakCircles(
  found: ReadonlyMap<
    string,
    { readonly values: Map<string, SheetValue>; readonly colors: ReadonlyMap<string, string> }
  >,
  theme: string,
): void {
  const done = new Set<string>();
  for (const start of found.keys()) {
    const passed = new Set<string>();
    for (let name = start; !done.has(name); ) {
      passed.add(name);
      const one = found.get(name);
      const value = one?.values.get(theme);
      if (value?.to !== 'property') break;
      const color = one!.colors.get(theme);
      if (passed.has(value.property) && color !== undefined) {
        one!.values.set(theme, { to: 'color', color });
        break;
      }
      if (passed.has(value.property)) break;
      name = value.property;
    }
    for (const name of passed) done.add(name);
  }
}

const leads = (
  values: ReadonlyMap<string, SheetValue>,
  found: ReadonlyMap<string, { readonly values: ReadonlyMap<string, SheetValue> }>,
) => [...values.values()].some((value) => value.to === 'property' && found.has(value.property));

/** Whether a value is a colour once its words are. */
const isColorWith = (value: string, words: RegExp) =>
  parseColor(value.replace(new RegExp(words.source, 'gi'), 'red')).ok;

/** The colour that a property comes to in a theme; null for gradients, circles and what is gone. */
export const colorIn = (
  properties: ReadonlyMap<string, SheetProperty>,
  name: string,
  theme: string,
): string | null => properties.get(name)?.colors.get(theme) ?? null;

/** The property at which one ends in a theme, following others, where that is a gradient; null where it is none. */
export function gradientIn(
  properties: ReadonlyMap<string, SheetProperty>,
  name: string,
  theme: string,
): string | null {
  const passed = new Set<string>();
  for (let at = name; !passed.has(at); ) {
    passed.add(at);
    const value = properties.get(at)?.values.get(theme);
    if (value?.to === 'gradient') return at;
    if (value?.to !== 'property') return null;
    at = value.property;
  }
  return null;
}
