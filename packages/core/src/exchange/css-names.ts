import type { ProjectDocument } from '../document/document.ts';
import { stopsOf } from '../document/gradients/gradient.ts';
import { slug } from '../document/naming/names.ts';
import { roleSlug } from '../document/naming/role-name.ts';
import { familiesOf } from '../system/families/resolved-families.ts';

/** The custom property names of everything in a document, each unique. */
export interface CssNames {
  readonly shade: (family: string, label: string) => string;
  /**
   * What a family's base is written as: a custom property of its own, or its colour where the shade that it stands at
   * was set by hand.
   */
  readonly base: (family: string) => string;
  /** That custom property; null where nothing needs it. */
  readonly baseProperty: (family: string) => string | null;
  readonly role: (id: string) => string;
  readonly gradient: (id: string) => string;
  /** Value of the `data-theme` attribute, and of a class behind `theme-`. */
  readonly theme: (id: string) => string;
}

/** The families whose base a role or a stop points to. */
function linkedBases({ roles, gradients }: ProjectDocument): Set<string> {
  const links = [
    ...roles.flatMap((role) => Object.values(role.links)),
    ...gradients.flatMap((gradient) => stopsOf(gradient).map(({ color }) => color)),
  ];
  return new Set(links.flatMap((link) => (link.to === 'base' ? link.family : [])));
}

/** What gives each wanted name once, the later one of two with a number behind it. */
export function uniqueNames(): (wanted: string) => string {
  const taken = new Set<string>();
  // Where a number behind a name was tried last, so that ten thousand of one name are no hundred million tries.
  const last = new Map<string, number>();
  return (wanted) => {
    let name = wanted;
    let n = last.get(wanted) ?? 1;
    while (taken.has(name)) {
      n += 1;
      name = `${wanted}-${n}`;
    }
    last.set(wanted, n);
    taken.add(name);
    return name;
  };
}

/**
 * Names for a document: `--deepwater-500`, `--text-main`, `--gradient-first-light`, with `prefix-` before them where one
 * is asked for. Where two would be the same, the later one gets a number. Roles come first, since they are what pages use.
 */
export function cssNames(doc: ProjectDocument, prefix = ''): CssNames {
  const known = knownNames.get(doc);
  if (known?.prefix === prefix) return known.names;
  const start = prefix ? `--${prefix}-` : '--';
  const names = namesUnder(doc, start, `${start}gradient-`);
  knownNames.set(doc, { prefix, names });
  return names;
}
const knownNames = new WeakMap<ProjectDocument, { readonly prefix: string; readonly names: CssNames }>();

/** {@link cssNames} with other beginnings: of colours, and of gradients. */
export function namesUnder(doc: ProjectDocument, start: string, ofGradients: string): CssNames {
  const unique = uniqueNames();
  const roles = new Map(doc.roles.map((role) => [role.id, unique(`${start}${roleSlug(role)}`)]));
  const shades = new Map(
    doc.families.map(({ id, name, growth }) => [
      id,
      new Map(growth.labels.map((label) => [label, unique(shadeName(start, name, label))])),
    ]),
  );
  const families = familiesOf(doc);
  const bases = new Map<string, string>();
  for (const id of linkedBases(doc)) {
    const resolved = families.get(id);
    if (resolved && resolved.family.handSet[resolved.base.label] === undefined)
      bases.set(id, unique(`${start}${slug(resolved.family.name)}-base`));
  }
  const gradients = new Map(doc.gradients.map((g) => [g.id, unique(`${ofGradients}${slug(g.name)}`)]));
  const themeName = uniqueNames();
  const themes = new Map(doc.themes.map((theme) => [theme.id, themeName(slug(theme.name))]));
  const missing = '--missing';
  return {
    shade: (family, label) => shades.get(family)?.get(label) ?? missing,
    base: (id) => {
      const resolved = families.get(id);
      if (!resolved) return `var(${missing})`;
      const property = bases.get(id);
      return property ? `var(${property})` : resolved.base.color.css;
    },
    baseProperty: (id) => bases.get(id) ?? null,
    role: (id) => roles.get(id) ?? missing,
    gradient: (id) => gradients.get(id) ?? missing,
    theme: (id) => themes.get(id) ?? 'missing',
  };
}

const shadeName = (start: string, family: string, label: string) =>
  `${start}${slug(family)}-${slug(label) || 'shade'}`;

/** Whether a label of a shade reads from its custom property as it is. */
export const isSpelled = (property: string, prefix: string, family: string, label: string): boolean =>
  slug(label) === label && property === shadeName(prefix ? `--${prefix}-` : '--', family, label);
