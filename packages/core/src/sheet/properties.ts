import type { SheetBlock, SheetDeclaration } from './blocks.ts';
import type { SheetTheme } from './theme-blocks.ts';
import { readValue, type SheetValue } from './values.ts';

/** A custom property that is a colour or a gradient, or leads to one, with its value in each theme. */
export interface SheetProperty {
  readonly name: string;
  /** By theme key; a theme in which it has none, or none that can be read, is missing. */
  readonly values: ReadonlyMap<string, SheetValue>;
  /** Where it is declared first. */
  readonly declaration: SheetDeclaration;
  /** The block of that. */
  readonly block: SheetBlock;
}

/** The custom properties of a sheet's themes that have to do with colour, in order of first appearance. */
export function propertiesOf(themes: readonly SheetTheme[]): Map<string, SheetProperty> {
  const found = new Map<
    string,
    { values: Map<string, SheetValue>; declaration: SheetDeclaration; block: SheetBlock }
  >();
  for (const theme of themes)
    for (const block of theme.blocks)
      for (const declaration of block.declarations) {
        if (!declaration.property.startsWith('--')) continue;
        const value = readValue(declaration.value);
        const known = found.get(declaration.property);
        if (!known) found.set(declaration.property, { values: new Map(), declaration, block });
        const { values } = known ?? found.get(declaration.property)!;
        if (!value) {
          values.delete(theme.key);
          continue;
        }
        // What it stands for is said where it has a value first.
        if (!values.size) found.set(declaration.property, { values, declaration, block });
        values.set(theme.key, value);
      }
  const leads = leadingToColor(found);
  return new Map(
    [...found].flatMap(([name, one]) => (leads.has(name) ? [[name, { name, ...one }] as const] : [])),
  );
}

/**
 * The properties that come to a colour or gradient somewhere; a circle comes to nothing. From the ends back to whoever
 * points to them, so that chains of any length are gone through once.
 */
function leadingToColor(found: ReadonlyMap<string, { readonly values: ReadonlyMap<string, SheetValue> }>) {
  const pointers = new Map<string, string[]>();
  const leads = new Set<string>();
  for (const [name, { values }] of found)
    for (const value of values.values())
      if (value.to !== 'property') leads.add(name);
      else {
        const list = pointers.get(value.property);
        if (list) list.push(name);
        else pointers.set(value.property, [name]);
      }
  for (const name of leads) for (const pointer of pointers.get(name) ?? []) leads.add(pointer);
  return leads;
}

/** The color that a property comes to in a theme, following others; null for gradients, circles and what is gone. */
export function colorIn(
  properties: ReadonlyMap<string, SheetProperty>,
  name: string,
  theme: string,
): string | null {
  const end = endIn(properties, name, theme);
  return end?.value.to === 'color' ? end.value.color : null;
}

/** The property at which one ends in a theme, following others, where that is a gradient; null where it is none. */
export function gradientIn(
  properties: ReadonlyMap<string, SheetProperty>,
  name: string,
  theme: string,
): string | null {
  const end = endIn(properties, name, theme);
  return end?.value.to === 'gradient' ? end.name : null;
}

interface End {
  readonly name: string;
  readonly value: SheetValue;
}

// A sheet is read once; what its properties lead to is asked for again and again.
const ends = new WeakMap<ReadonlyMap<string, SheetProperty>, Map<string, Map<string, End | null>>>();

/** The property that a property leads to by way of others, with its value; null for circles and what is gone. */
function endIn(properties: ReadonlyMap<string, SheetProperty>, name: string, theme: string): End | null {
  let byTheme = ends.get(properties);
  if (!byTheme) {
    byTheme = new Map();
    ends.set(properties, byTheme);
  }
  let known = byTheme.get(theme);
  if (!known) {
    known = new Map();
    byTheme.set(theme, known);
  }
  const passed: string[] = [];
  let end: End | null = null;
  for (let at = name; ; ) {
    const before = known.get(at);
    if (before !== undefined) {
      end = before;
      break;
    }
    // Nothing until it is known, so that a circle ends where it began.
    known.set(at, null);
    passed.push(at);
    const value = properties.get(at)?.values.get(theme);
    if (!value) break;
    if (value.to !== 'property') {
      end = { name: at, value };
      break;
    }
    at = value.property;
  }
  for (const one of passed) known.set(one, end);
  return end;
}
