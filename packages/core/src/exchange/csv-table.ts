import { NOTATIONS } from '../color/notations.ts';
import type { ChoicesOf } from '../document/delivery/forms.ts';
import type { RoleLink } from '../document/links/link.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import type { Painted } from '../system/painted.ts';
import type { System } from '../system/resolve.ts';
import { type CssNames, cssNames } from './css-names.ts';
import { mixedGradient } from './css-values.ts';
import { csvField } from './csv-field.ts';
import { notationsOf } from './notations-of.ts';

const SEPARATORS = { comma: ',', semicolon: ';', tab: '\t' } as const;

/** The columns, in order; those of the notations come last. */
const COLUMNS = [
  'kind',
  'theme',
  'name',
  'label',
  'property',
  'points to',
  'target',
  'shade',
  'opacity',
  'use',
  'about',
  'retired',
  'gradient',
  'linked gradient',
  ...NOTATIONS.map(({ id }) => id),
] as const;
type Column = (typeof COLUMNS)[number] | string;
type CsvRow = Readonly<Partial<Record<Column, string | number>>>;

/** What a link points to, by names. */
function target(system: System, link: RoleLink): CsvRow {
  const { families, roles, gradients } = system.document;
  const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
    list.find((one) => one.id === id)?.name ?? '';
  switch (link.to) {
    case 'gradient':
      return { 'points to': 'gradient', target: nameIn(gradients, link.gradient) };
    case 'color':
      return { 'points to': 'colour', target: link.color, ...opacityOf(link) };
    case 'role': {
      const role = roles.find(({ id }) => id === link.role);
      return { 'points to': 'role', target: role ? writeRoleName(role) : '', ...opacityOf(link) };
    }
    case 'base':
      return { 'points to': 'base', target: nameIn(families, link.family), ...opacityOf(link) };
    case 'shade':
      return {
        'points to': 'shade',
        target: nameIn(families, link.family),
        shade: link.shade,
        ...opacityOf(link),
      };
  }
}

const opacityOf = ({ opacity }: { readonly opacity?: number }): CsvRow =>
  opacity === undefined ? {} : { opacity };

const codes = (color: Painted | null): CsvRow => (color ? notationsOf(color) : {});

function rowsOf(system: System, names: CssNames): CsvRow[] {
  const { document } = system;
  const rows: CsvRow[] = [{ kind: 'project', name: document.name }];
  for (const { family, shades } of system.families.values())
    for (const shade of shades)
      rows.push({
        kind: shade.isBase ? 'base' : 'shade',
        name: family.name,
        label: shade.label,
        property: names.shade(family.id, shade.label),
        ...codes(shade),
      });
  for (const theme of system.themes.values()) {
    rows.push({ kind: 'theme', theme: theme.theme.name });
    for (const role of document.roles) {
      const { link, color, gradient } = theme.roles.get(role.id)!;
      const painted = gradient ? theme.gradients.get(gradient) : undefined;
      rows.push({
        kind: 'role',
        theme: theme.theme.name,
        name: writeRoleName(role),
        property: names.role(role.id),
        use: role.use ?? '',
        about: role.about ?? '',
        // That it is retired, also where nothing stands for it.
        retired: role.retired === undefined ? '' : role.retired || 'yes',
        ...(link ? target(system, link) : {}),
        ...(painted ? { gradient: gradientCss(painted) ?? '' } : {}),
        ...codes(color),
      });
    }
    for (const resolved of theme.gradients.values())
      rows.push({
        kind: 'gradient',
        theme: theme.theme.name,
        name: resolved.gradient.name,
        property: names.gradient(resolved.gradient.id),
        gradient: gradientCss(resolved) ?? '',
        'linked gradient': mixedGradient(resolved, { links: names, code: 'hex' }) ?? '',
      });
  }
  return rows;
}

/**
 * The system as a table (RFC 4180): a row for each shade, and for each role and gradient in each theme, with what it points to
 * by name and its colour in every notation. What a spreadsheet would run is told as text.
 */
export function writeCsvTable(system: System, { between }: ChoicesOf<'csv'>): string {
  const separator = SEPARATORS[between];
  const line = (fields: readonly (string | number | undefined)[]) =>
    fields.map((field) => csvField(field, separator)).join(separator);
  const rows = rowsOf(system, cssNames(system.document));
  return `${[line(COLUMNS), ...rows.map((row) => line(COLUMNS.map((column) => row[column])))].join('\r\n')}\r\n`;
}
