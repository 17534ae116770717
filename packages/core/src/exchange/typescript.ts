import type { ChoicesOf } from '../document/delivery/forms.ts';
import type { System } from '../system/resolve.ts';
import { codeOf } from './codes.ts';
import { cssNames, uniqueNames } from './css-names.ts';
import { flatGradients, flatRoles } from './flat-values.ts';

/** A text as it stands in code, also within a script of a page. */
const quoted = (text: string) =>
  JSON.stringify(text)
    .replaceAll('<', '\\u003c')
    .replaceAll('\u2028', '\\u2028')
    .replaceAll('\u2029', '\\u2029');

/** The key of a record; the one that would be its prototype is computed. */
const key = (text: string) => (text === '__proto__' ? `[${quoted(text)}]` : quoted(text));

const record = (entries: readonly (readonly [string, string])[], indent: string): string =>
  entries.length
    ? `{\n${entries.map(([name, value]) => `${indent}  ${key(name)}: ${value},`).join('\n')}\n${indent}}`
    : '{}';

/**
 * The system as TypeScript constants with their types: shades by family and label, roles by theme and written name, gradients
 * by theme and name, and the custom property of each role. Plain data without an import; names are as they are in the
 * project, later ones of one name with a number behind it.
 */
export function writeTypescript(system: System, { code, gradients }: ChoicesOf<'typescript'>): string {
  const names = cssNames(system.document);
  const once = uniqueNames();
  const families = [...system.families.values()].map(({ family, shades }) => {
    const own = shades.map((shade) => [shade.label, quoted(codeOf(shade, code))] as const);
    return [once(family.name), record(own, '  ')] as const;
  });
  const onceTheme = uniqueNames();
  const themes = [...system.themes.values()].map((theme) => ({
    theme,
    name: onceTheme(names.theme(theme.theme.id)),
  }));
  const roles = themes.map(({ theme, name }) => {
    const own = flatRoles(system, theme, code, gradients).map(
      (one) => [one.name, quoted(one.value)] as const,
    );
    return [name, record(own, '  ')] as const;
  });
  const painted = themes.map(({ theme, name }) => {
    const onceGradient = uniqueNames();
    const own = flatGradients(theme, code, gradients).map(
      ({ resolved, value }) => [onceGradient(resolved.gradient.name), quoted(value)] as const,
    );
    return [name, record(own, '  ')] as const;
  });
  const properties = system.document.roles.map(
    (role) => [[...role.group, role.name].join('.'), quoted(`var(${names.role(role.id)})`)] as const,
  );
  return `// ${system.document.name.replace(/[\s\u2028\u2029]+/gu, ' ')}: colours, written by Mint Lamp

/** Shades by family and label. */
export const families = ${record(families, '')} as const;

/** Roles by theme: what each is painted with there. A role that has no value in a theme is not in it. */
export const roles = ${record(roles, '')} as const;

/** Gradients by theme, as CSS. */
export const gradients = ${record(painted, '')} as const;

/** The custom property of each role, for pages that use the style sheet. */
export const properties = ${record(properties, '')} as const;

export type FamilyName = keyof typeof families;
export type ThemeName = keyof typeof roles;
export type RoleName = keyof typeof properties;
/** The names of a theme's roles that have a value in it. */
export type RoleIn<T extends ThemeName> = keyof (typeof roles)[T];
`;
}
