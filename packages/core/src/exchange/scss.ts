import type { ChoicesOf } from '../document/delivery/forms.ts';
import type { System } from '../system/resolve.ts';
import { codeOf } from './codes.ts';
import { cssNames } from './css-names.ts';
import { flatGradients, flatRoles } from './flat-values.ts';

/** A comment to the end of its line. */
const comment = (text: string) => `// ${text.replace(/[\s\u2028\u2029]+/gu, ' ')}`;

/** A name of a variable: `$deepwater-500`. None begins with a digit or with a hyphen and a digit. */
const variable = (property: string) => {
  const name = property.slice(2);
  return `$${/^-?\p{N}/u.test(name) ? `_${name}` : name}`;
};

const map = (entries: readonly (readonly [string, string])[], indent: string) =>
  entries.length
    ? `(\n${entries.map(([key, value]) => `${indent}  "${key}": ${value},`).join('\n')}\n${indent})`
    : '()';

/**
 * The system as SCSS: a variable for each shade, and for each role and gradient in each theme (`$day-sailing-text-main`); and
 * the same as maps, `$families`, `$roles` and `$gradients`, by family or theme and name, with functions that say so when a
 * name is wrong. No custom property is written, so that what uses it is compiled to plain colours.
 */
export function writeScss(system: System, { shape, code, gradients, prefix }: ChoicesOf<'scss'>): string {
  const names = cssNames(system.document, prefix);
  const start = prefix ? `${prefix}-` : '';
  const [hasVariables, hasMaps] = [shape !== 'maps', shape !== 'variables'];
  const parts = [comment(`${system.document.name}: colours, written by Mint Lamp`)];

  const families: [string, string][] = [];
  for (const { family, shades } of system.families.values()) {
    const own = shades.map((shade) => {
      const name = variable(names.shade(family.id, shade.label));
      return { name, value: codeOf(shade, code), key: shade.label.replace(/["\\#]/g, '-') };
    });
    if (hasVariables)
      parts.push([comment(family.name), ...own.map(({ name, value }) => `${name}: ${value};`)].join('\n'));
    const entries = own.map(({ key, name, value }) => [key, hasVariables ? name : value] as const);
    families.push([keyOf(family.name, families), map(entries, '  ')]);
  }

  const roles: [string, string][] = [];
  const painted: [string, string][] = [];
  for (const theme of system.themes.values()) {
    const key = names.theme(theme.theme.id);
    const values = [
      ...flatRoles(system, theme, code, gradients).map(({ role, value }) => ({
        property: names.role(role.id),
        value,
        isRole: true,
      })),
      ...flatGradients(theme, code, gradients).map(({ resolved, value }) => ({
        property: names.gradient(resolved.gradient.id),
        value,
        isRole: false,
      })),
    ].map((one) => ({ ...one, name: variable(`--${start}${key}-${one.property.slice(2 + start.length)}`) }));
    if (hasVariables && values.length)
      parts.push(
        [comment(theme.theme.name), ...values.map(({ name, value }) => `${name}: ${value};`)].join('\n'),
      );
    const entries = (isRole: boolean) =>
      values
        .filter((one) => one.isRole === isRole)
        .map(
          ({ property, name, value }) =>
            [
              property.slice(2 + start.length).replace(/^gradient-/, isRole ? 'gradient-' : ''),
              hasVariables ? name : value,
            ] as const,
        );
    roles.push([key, map(entries(true), '  ')]);
    painted.push([key, map(entries(false), '  ')]);
  }

  if (hasMaps) {
    const of = (name: string) => `$${start}${name}`;
    parts.push(`${of('families')}: ${map(families, '')};`);
    parts.push(`${of('roles')}: ${map(roles, '')};`);
    parts.push(`${of('gradients')}: ${map(painted, '')};`);
    parts.push(`${comment(`A role in a theme: color: ${start}role("text-main", "day-sailing");`)}
@function ${start}role($name, $theme: "${roles[0]?.[0] ?? ''}") {
  @if not map-has-key(${of('roles')}, $theme) {
    @error "There is no theme named #{$theme}.";
  }
  $own: map-get(${of('roles')}, $theme);
  @if not map-has-key($own, $name) {
    @error "There is no role named #{$name} in #{$theme}.";
  }
  @return map-get($own, $name);
}`);
  }
  return `${parts.join('\n\n')}\n`;
}

/** A family's name as the key of a map; later ones of a name with a number. */
function keyOf(name: string, taken: readonly (readonly [string, string])[]): string {
  const plain = name.replace(/["\\#]/g, '-');
  let key = plain;
  for (let n = 2; taken.some(([other]) => other === key); n++) key = `${plain} ${n}`;
  return key;
}
