import type { ProjectDocument } from '../document/document.ts';
import { groundOfGrowth } from '../document/links/growth-ground.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { MOST_GROUPS, type Role } from '../document/roles/role.ts';
import { isPaintedOtherwise } from '../exchange/css-values.ts';
import { followingByName, groundByName, NamesById, pairByName } from '../exchange/tokens-by-name.ts';
import { spelledFamily } from '../sheet/spelled-families.ts';
import { resolveFamily } from '../system/families/resolved-family.ts';
import type { System } from '../system/resolve.ts';

/** The forms that come back, as far as they can hold a project. */
export type BackForm = 'css' | 'tokens' | 'csv';

const list = (names: readonly string[]) =>
  `${names.slice(0, 3).join(', ')}${names.length > 3 ? ` and ${names.length - 3} more` : ''}`;

/** Roles that point somewhere in a theme and come to nothing there. */
const brokenRoles = ({ document, themes }: System): Role[] =>
  document.roles.filter((role) =>
    [...themes.values()].some((theme) => {
      const { link, color, gradient } = theme.roles.get(role.id)!;
      const painted = gradient ? theme.gradients.get(gradient)?.colors.filter(Boolean).length : 0;
      return link !== null && !color && (painted ?? 0) < 2;
    }),
  );

const brokenGradients = ({ themes }: System): string[] => [
  ...new Set(
    [...themes.values()].flatMap((theme) =>
      [...theme.gradients.values()].flatMap(({ gradient, colors }) =>
        colors.some((color) => color === null) ? [gradient.name] : [],
      ),
    ),
  ),
];

/** Gradients that a style sheet has in plain stops, since browsers paint them otherwise than each other. */
const inPlainStops = ({ themes }: System): string[] => [
  ...new Set(
    [...themes.values()].flatMap((theme) =>
      [...theme.gradients.values()].flatMap((one) => (isPaintedOtherwise(one) ? [one.gradient.name] : [])),
    ),
  ),
];

/** Families of which the base stands at another shade when they are read from their shades alone. */
const movedBases = ({ families }: System): string[] =>
  [...families.values()].flatMap(({ family, shades, base }) => {
    const scale = {
      name: family.name,
      base: base.label,
      baseProperty: null,
      shades: shades.map(({ label, css }) => ({ label, property: label, color: css })),
    };
    const { base: own, growth, handSet } = spelledFamily(scale, family.name);
    const read = resolveFamily({ ...family, base: own, follows: null, growth, handSet });
    // A base behind a shade that was set by hand is another colour, which no shade tells.
    const isSame =
      base.color.css === shades.find(({ label }) => label === base.label)?.css &&
      read.base.label === base.label &&
      shades.every(({ label, css }, i) => read.shades[i]?.label === label && read.shades[i]?.css === css);
    return isSame ? [] : [family.name];
  });

/** Roles that point nowhere in any theme. */
const unset = ({ roles }: ProjectDocument) => roles.filter(({ links }) => !Object.keys(links).length);

/** Families whose recipe goes by something that is gone. */
const brokenFamilies = (doc: ProjectDocument, names: NamesById) =>
  doc.families.filter(({ growth, follows }) => {
    const ground = groundOfGrowth(growth);
    return (ground && !groundByName(ground, names)) || (follows && !followingByName(follows, names));
  });

/**
 * What of a system does not come back from a file of a form, in sentences; empty where the file is read as the same system,
 * and written again in the same bytes.
 */
export function lostBy(form: BackForm, system: System): string[] {
  const come = system.document.roles.filter(({ origin }) => origin);
  return [
    ...brokenBy(form, system),
    ...(come.length ? [`What roles were in a style sheet: ${list(come.map(writeRoleName))}.`] : []),
  ];
}

/** {@link lostBy}, without what no file of these forms says. */
function brokenBy(form: BackForm, system: System): string[] {
  const { document } = system;
  const names = new NamesById(document);
  const out: string[] = [];
  const say = (things: readonly string[], what: string) => {
    if (things.length) out.push(`${what}: ${list(things)}.`);
  };
  say(brokenRoles(system).map(writeRoleName), 'Links that lead nowhere');
  say(brokenGradients(system), 'Stops that have no colour');
  say(
    document.roles.filter(({ group }) => group.length > MOST_GROUPS).map(writeRoleName),
    'Groups in more groups than there may be',
  );
  if (form === 'tokens') {
    say(
      brokenFamilies(document, names).map(({ name }) => name),
      'Growth that goes by something that is gone',
    );
    const pairs = document.pairs.filter((pair) => !pairByName(pair, names));
    if (pairs.length)
      out.push(
        `${pairs.length === 1 ? 'A pair' : `${pairs.length} pairs`} over pictures or of roles that are gone.`,
      );
    return out;
  }
  if (form === 'css') say(inPlainStops(system), 'How gradients in plain stops are mixed and linked');
  if (form === 'css') say(unset(document).map(writeRoleName), 'Roles without a value in any theme');
  say(movedBases(system), 'At which shade the base stands');
  if (document.families.length) out.push('The growth of families; their shades come as they are.');
  if (document.pairs.length) out.push('Pairs.');
  if (document.ground !== null) out.push('What lies beneath the page.');
  if (form === 'css')
    say(document.roles.filter(({ use }) => use).map(writeRoleName), 'What roles are shown as');
  say(
    document.gradients
      .filter(({ group, favourite }) => group !== undefined || favourite)
      .map(({ name }) => name),
    'Groups and favourites of gradients',
  );
  return out;
}

/** Whether a file of a form comes back in the same bytes: nothing of it is broken. */
export const comesBackWhole = (form: BackForm, system: System): boolean => {
  const broken = brokenBy('tokens', system);
  if (form === 'tokens') return !broken.length;
  if (form === 'css' && (unset(system.document).length || inPlainStops(system).length)) return false;
  return ![brokenRoles(system), brokenGradients(system), movedBases(system)].some(({ length }) => length);
};
