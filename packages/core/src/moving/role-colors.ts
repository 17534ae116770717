import { readColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import type { StopSource } from '../sheet/linked-gradient.ts';
import type { SheetSystem } from '../sheet/sheet-system.ts';

const faded = (color: string, opacity: number): string => {
  if (opacity === 1) return color;
  const c = readColor(color);
  return canonical({ ...c, alpha: (c.alpha ?? 0) * opacity });
};

/** What the roles of a proposal come to, by property and theme key; null where that is no colour. */
export function roleColors(system: SheetSystem): (property: string, theme: string) => string | null {
  const roles = new Map(system.roles.map((role) => [role.property, role]));
  const shades = new Map<string, string>();
  for (const { shades: own, colors, base, baseProperty } of system.families) {
    for (const [property, label] of own) shades.set(property, colors.get(label)!);
    if (baseProperty) shades.set(baseProperty, base);
  }
  const colorOf = (source: StopSource | undefined, theme: string, depth: number): string | null => {
    if (!source || depth > 100) return null;
    if (source.to === 'color') return source.color;
    const shade = shades.get(source.property);
    const under = shade ?? colorOf(roles.get(source.property)?.sources.get(theme), theme, depth + 1);
    return under === null ? null : faded(under, source.opacity);
  };
  return (property, theme) => colorOf(roles.get(property)?.sources.get(theme), theme, 0);
}
