import type { SheetSystem } from './sheet-system.ts';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** What a style sheet comes to: "136 colours → 7 families, 58 shades, 40 roles in 2 themes, 9 left over". */
export function sheetSummary({ colors, families, roles, themes, leftOver }: SheetSystem): string {
  const shades = families.reduce((sum, { shades: spelled, snapped }) => {
    const labels = new Set([...spelled.values(), ...snapped.map(({ shade }) => shade)]);
    return sum + labels.size;
  }, 0);
  const parts = [
    count(families.length, 'family', 'families'),
    count(shades, 'shade', 'shades'),
    roles.length
      ? `${count(roles.length, 'role', 'roles')} in ${count(themes.length, 'theme', 'themes')}`
      : '',
    `${leftOver.length} left over`,
  ];
  return `${count(colors, 'colour', 'colours')} → ${parts.filter(Boolean).join(', ')}`;
}
