import Papa from 'papaparse';
import { parseColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import { slug } from '../document/naming/names.ts';
import { readNames } from '../document/naming/role-name.ts';
import { ROLE_USES } from '../document/roles/use-names.ts';
import { readField } from '../exchange/csv-field.ts';
import type { ColorStop, CssGradient } from '../gradient/model.ts';
import { readLinkedGradient } from '../sheet/linked-gradient.ts';
import type { NamedFamily, NamedGradient, NamedLink, NamedRole, NamedRoleLink } from './named-system.ts';
import type { NamedRead } from './read-tokens.ts';

type Row = Readonly<Record<string, string>>;

/** Rows of a table that are read. */
const MOST_ROWS = 60_000;

/** What a row points to, by its columns. */
function linkOf(row: Row): NamedRoleLink | null {
  const opacity = row.opacity ? { opacity: Number(row.opacity) } : {};
  if (Number.isNaN(opacity.opacity ?? 0)) return null;
  switch (row['points to']) {
    case 'shade':
      return { to: 'shade', family: row.target ?? '', shade: row.shade ?? '', ...opacity };
    case 'base':
      return { to: 'base', family: row.target ?? '', ...opacity };
    case 'role':
      return { to: 'role', role: row.target ?? '', ...opacity };
    case 'gradient':
      return { to: 'gradient', gradient: row.target ?? '' };
    case 'colour': {
      const parsed = parseColor(row.target ?? '');
      return parsed.ok ? { to: 'color', color: canonical(parsed.color), ...opacity } : null;
    }
    default:
      return null;
  }
}

/** Reads a table of ours: what {@link writeCsvTable} writes, with a comma, a semicolon or a tab. Never throws. */
export function readCsvTable(text: string): NamedRead {
  const { data, meta } = Papa.parse<Row>(text.replace(/\r?\n$/, ''), { header: true, preview: MOST_ROWS });
  if (!meta.fields?.includes('kind') || !meta.fields.includes('name'))
    return {
      ok: false,
      reason: 'This is no table of colours from here: its first line has no "kind" and "name".',
    };
  const losses: string[] = [];
  const rows = data.map(
    (row): Row =>
      Object.fromEntries(Object.entries(row).map(([key, value]) => [key, readField(String(value ?? ''))])),
  );
  const families = new Map<
    string,
    NamedFamily & { shades: { label: string; css: string }[]; base: string | null }
  >();
  const roles = new Map<string, NamedRole & { links: Map<string, NamedRoleLink> }>();
  const byProperty = new Map<string, NamedLink>();
  const themes: string[] = [];
  let project: string | null = null;
  for (const row of rows) {
    const { kind, name = '', theme = '', label = '', property = '' } = row;
    if (kind === 'project') project = name;
    else if (kind === 'theme') themes.push(theme);
    else if (kind === 'shade' || kind === 'base') {
      const parsed = parseColor(row.hex ?? '');
      if (!parsed.ok) {
        losses.push(`${name} ${label}: "${row.hex ?? ''}" is no colour.`);
        continue;
      }
      const family = families.get(name) ?? { name, shades: [], base: null, recipe: null };
      family.shades.push({ label, css: canonical(parsed.color) });
      families.set(name, kind === 'base' ? { ...family, base: label } : family);
      byProperty.set(property, { to: 'shade', family: name, shade: label });
    } else if (kind === 'role') {
      const names = readNames(name);
      if (!names.ok) {
        losses.push(`The role "${name}": ${names.reason}`);
        continue;
      }
      const use = ROLE_USES.find((one) => one === row.use);
      const role = roles.get(name) ?? {
        group: names.names.slice(0, -1),
        name: names.names[names.names.length - 1]!,
        ...(use ? { use } : {}),
        ...(row.about ? { about: row.about } : {}),
        ...(row.retired ? { retired: row.retired === 'yes' ? '' : row.retired } : {}),
        links: new Map<string, NamedRoleLink>(),
      };
      const link = linkOf(row);
      if (link) role.links.set(theme, link);
      roles.set(name, role);
      byProperty.set(property, { to: 'role', role: name });
    }
  }
  const gradients = new Map<string, NamedGradient>();
  for (const { kind, name = '', 'linked gradient': linked = '' } of rows) {
    if (kind !== 'gradient' || gradients.has(name)) continue;
    const read = readLinkedGradient(linked);
    if (!read) {
      losses.push(`The gradient ${name}: it cannot be read.`);
      continue;
    }
    const gradient = {
      ...read,
      stops: read.stops.map((item) => {
        if (item.kind === 'hint') return item;
        const { color } = item;
        if (color.to === 'color') return { ...item, color: { to: 'color', color: color.color } as NamedLink };
        const target = byProperty.get(color.property) ?? baseOf(color.property, families);
        if (!target) losses.push(`${name} points to ${color.property}, which is not in the table.`);
        const link: NamedLink = target ?? { to: 'color', color: '#00000000' };
        return { ...item, color: color.opacity === 1 ? link : { ...link, opacity: color.opacity } };
      }),
    } as CssGradient<ColorStop<NamedLink>>;
    gradients.set(name, { name, gradient });
  }
  if (!families.size && !roles.size && !gradients.size)
    return { ok: false, reason: 'There is no shade, role or gradient in this table.' };
  return {
    ok: true,
    named: {
      project,
      themes,
      families: [...families.values()],
      roles: [...roles.values()],
      gradients: [...gradients.values()],
      pairs: null,
      ground: null,
    },
    losses,
  };
}

/** The family whose base a custom property is: `--deepwater-base`. */
function baseOf(property: string, families: ReadonlyMap<string, NamedFamily>): NamedLink | null {
  const found = [...families.values()].find(({ name }) => property === `--${slug(name)}-base`);
  return found ? { to: 'base', family: found.name } : null;
}
