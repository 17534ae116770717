import type { PageValues } from '../cascade/page.ts';
import type { SheetProperty } from './properties.ts';
import type { SheetTheme } from './theme-blocks.ts';

/** A theme, and what the page has in it. */
export interface ThemedPage {
  readonly theme: SheetTheme;
  readonly values: PageValues;
}

/** Themes that come to other values than all before them. */
export function distinct(pages: readonly ThemedPage[]): ThemedPage[] {
  const seen = new Set<string>();
  return pages.filter(({ values: { properties, scheme } }) => {
    const said = [...properties].map(([name, { value }]) => `${name}:${value}`).sort();
    const key = `${scheme};${said.join(';')}`;
    const isNew = !seen.has(key);
    seen.add(key);
    return isNew;
  });
}

/** Themes that have colours of their own, by key: others than all before them. */
export function coloured(properties: Iterable<SheetProperty>, keys: readonly string[]): Set<string> {
  const said = new Map(keys.map((key) => [key, '']));
  for (const { name, colors, values } of properties)
    for (const [key, value] of values) {
      const own = colors.get(key) ?? (value.to === 'gradient' ? value.text : null);
      if (own !== null) said.set(key, `${said.get(key)}${name}:${own};`);
    }
  const seen = new Set<string>(['']);
  return new Set(
    keys.filter((key) => {
      const isNew = !seen.has(said.get(key)!);
      seen.add(said.get(key)!);
      return isNew;
    }),
  );
}
