import type { ProjectDocument } from '../document/document.ts';
import { stopsOf } from '../document/gradients/gradient.ts';
import type { Link } from '../document/links/link.ts';
import { slug } from '../document/naming/names.ts';
import { roleSlug, writeRoleName } from '../document/naming/role-name.ts';
import { familiesOf } from '../system/families/resolved-families.ts';
import { gradientCss, gradientText, type StopPaint } from '../system/gradients/gradient-css.ts';
import type { ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';

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
  /** Value of the `data-theme` attribute. */
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

/** Said behind the custom property of a base, which is read back by it. */
export const BASE_REMARK = 'the base itself';

/**
 * Names for a document: `--deepwater-500`, `--text-main`, `--gradient-first-light`. Where two would be the
 * same, the later one gets a number. Roles come first, since they are what pages use.
 */
export function cssNames(doc: ProjectDocument): CssNames {
  const taken = new Set<string>();
  const unique = (wanted: string) => {
    let name = wanted;
    for (let n = 2; taken.has(name); n++) name = `${wanted}-${n}`;
    taken.add(name);
    return name;
  };
  const roles = new Map(doc.roles.map((role) => [role.id, unique(`--${roleSlug(role)}`)]));
  const shades = new Map<string, string>();
  for (const family of doc.families)
    for (const label of family.growth.labels)
      shades.set(`${family.id} ${label}`, unique(`--${slug(family.name)}-${slug(label) || 'shade'}`));
  const families = familiesOf(doc);
  const bases = new Map<string, string>();
  for (const id of linkedBases(doc)) {
    const resolved = families.get(id);
    if (resolved && resolved.family.handSet[resolved.base.label] === undefined)
      bases.set(id, unique(`--${slug(resolved.family.name)}-base`));
  }
  const gradients = new Map(doc.gradients.map((g) => [g.id, unique(`--gradient-${slug(g.name)}`)]));
  const themes = new Map(doc.themes.map((theme) => [theme.id, slug(theme.name)]));
  const missing = '--missing';
  return {
    shade: (family, label) => shades.get(`${family} ${label}`) ?? missing,
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

const percent = (n: number) => `${Math.round(n * 1e4) / 1e4}%`;

function linkValue(link: Link, names: CssNames): string {
  const target =
    link.to === 'shade'
      ? `var(${names.shade(link.family, link.shade)})`
      : link.to === 'role'
        ? `var(${names.role(link.role)})`
        : link.to === 'base'
          ? names.base(link.family)
          : link.color;
  const opacity = link.opacity ?? 1;
  return opacity === 1 ? target : `color-mix(in srgb, ${target} ${percent(opacity * 100)}, transparent)`;
}

/** A gradient as the custom property that {@link writeCss} writes for it, linked; null when it has too few colours. */
export function gradientProperty(system: System, resolved: ResolvedGradient): string | null {
  const names = cssNames(system.document);
  const text = gradientText(resolved, (stop) => plainLink(stop, names));
  return text && `${names.gradient(resolved.gradient.id)}: ${text};`;
}

const plainLink = ({ link, color }: StopPaint, names: CssNames) =>
  link.to === 'color' ? color.css : linkValue(link, names);

// Comments hold names that people typed; nothing in them may end the comment.
const comment = (text: string) => `/* ${text.replaceAll('*/', '* /').replace(/\s+/g, ' ')} */`;

/** What a role's custom property is set to in a theme: linked, or null where it comes to nothing. */
function roleValue(theme: ResolvedTheme, id: string, names: CssNames): string | null {
  const { link, color, gradient } = theme.roles.get(id)!;
  if (!link) return null;
  if (link.to === 'gradient' || gradient) {
    const painted = gradient && theme.gradients.get(gradient);
    if (!painted || !gradientCss(painted)) return null;
    return `var(${link.to === 'role' ? names.role(link.role) : names.gradient(gradient)})`;
  }
  return color && plainLink({ link, color }, names);
}

function themeBlock(
  doc: ProjectDocument,
  selector: string,
  theme: ResolvedTheme,
  names: CssNames,
  told: Set<string>,
): string {
  const lines: string[] = [];
  /** What a custom property stands for is said where it comes first: its name alone does not tell groups apart. */
  const said = (name: string, written: string) => {
    if (told.has(name)) return '';
    told.add(name);
    return ` ${comment(written)}`;
  };
  for (const role of doc.roles) {
    const { link, problem } = theme.roles.get(role.id)!;
    const name = names.role(role.id);
    const value = roleValue(theme, role.id, names);
    lines.push(
      link && value
        ? `  ${name}: ${value};${said(name, writeRoleName(role))}`
        : `  ${name}: initial; ${comment(`${writeRoleName(role)}: ${problem ?? 'no value'}`)}`,
    );
  }
  for (const resolved of theme.gradients.values()) {
    const text = gradientText(resolved, (stop) => plainLink(stop, names));
    const name = names.gradient(resolved.gradient.id);
    lines.push(
      text
        ? `  ${name}: ${text};${said(name, resolved.gradient.name)}`
        : `  ${name}: initial; ${comment(`${resolved.gradient.name}: fewer than two of its stops have a colour`)}`,
    );
  }
  return `${selector} {\n${lines.join('\n')}\n}`;
}

/**
 * The whole system as CSS custom properties: shades once, on the root; then each theme with every role and
 * gradient, the first theme being what a page has without asking. A theme is chosen with
 * `data-theme="day-sailing"` on any element, and a part of a page can have another theme than the rest: that
 * is why each theme writes out all its roles and gradients, and takes back those that have no value in it. Comments
 * say what a custom property stands for where it comes first, so that the file can be read back as the system it was.
 */
export function writeCss(system: System): string {
  const { document } = system;
  const names = cssNames(document);
  const blocks = [comment(`${document.name}: colours as custom properties, written by Mint Lamp`)];
  const shades = [...system.families.values()].map(({ family, shades: list }) => {
    const base = list.find(({ isBase }) => isBase);
    const lines = list.map(({ label, css }) => {
      const name = names.shade(family.id, label);
      // A label that its custom property does not spell is said.
      const spelled = name === `--${slug(family.name)}-${label}`;
      return `  ${name}: ${css};${spelled ? '' : ` ${comment(label)}`}`;
    });
    const own = names.baseProperty(family.id);
    if (own && base)
      lines.push(`  ${own}: var(${names.shade(family.id, base.label)}); ${comment(BASE_REMARK)}`);
    return [`  ${comment(`${family.name}${base ? `, grown from ${base.label}` : ''}`)}`, ...lines].join('\n');
  });
  if (shades.length) blocks.push(`:root {\n${shades.join('\n\n')}\n}`);
  const told = new Set<string>();
  let first = true;
  for (const theme of system.themes.values()) {
    const own = `[data-theme="${names.theme(theme.theme.id)}"]`;
    blocks.push(
      `${comment(theme.theme.name)}\n${themeBlock(document, first ? `:root,\n${own}` : own, theme, names, told)}`,
    );
    first = false;
  }
  return `${blocks.join('\n\n')}\n`;
}
