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
  const leads = new Map<string, boolean>();
  /** Whether a property comes to a colour or gradient somewhere; a circle comes to nothing. */
  const leadsToColor = (name: string): boolean => {
    const known = leads.get(name);
    if (known !== undefined) return known;
    leads.set(name, false);
    const does = [...(found.get(name)?.values.values() ?? [])].some(
      (value) => value.to !== 'property' || leadsToColor(value.property),
    );
    leads.set(name, does);
    return does;
  };
  return new Map(
    [...found].flatMap(([name, one]) => (leadsToColor(name) ? [[name, { name, ...one }] as const] : [])),
  );
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

/** The property that a property leads to by way of others, with its value; null for circles and what is gone. */
function endIn(properties: ReadonlyMap<string, SheetProperty>, name: string, theme: string) {
  const seen = new Set<string>();
  for (let at = name; !seen.has(at); ) {
    seen.add(at);
    const value = properties.get(at)?.values.get(theme);
    if (!value) return null;
    if (value.to !== 'property') return { name: at, value };
    at = value.property;
  }
  return null;
}
