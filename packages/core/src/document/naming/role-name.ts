import { slug } from './names.ts';

/** A role's name together with its group. */
export interface FullName {
  /** Names of the groups that it is in, outermost first. */
  readonly group: readonly string[];
  readonly name: string;
}

/** A role, as far as its name goes. */
export interface NamedRole extends FullName {
  readonly id: string;
}

/** A group as it is written where it is out of sight: `notice.delay`. */
export const writeGroup = (group: readonly string[]): string => group.join('.');

/**
 * A role as it is written where its group is out of sight: `notice.delay.ground`, as references in the open token
 * format are.
 */
export const writeRoleName = ({ group, name }: FullName): string => writeGroup([...group, name]);

/** The written name of the role with an id, for words about a command. */
export function roleNameIn(roles: readonly NamedRole[], id: string): string {
  const role = roles.find((r) => r.id === id);
  return role ? writeRoleName(role) : 'a removed role';
}

/** A name of a role or group: no dot and no space, which stand between names, and none of the signs `{}/$`. */
export const ROLE_NAME_PATTERN = /^[^\s.{}/$]+$/u;

export type RoleNameResult =
  | { readonly ok: true; readonly names: readonly [string, ...string[]] }
  | { readonly ok: false; readonly reason: string };

/**
 * Reads names typed with dots or spaces between them, outermost group first. Never throws: what is no name gives
 * a reason and what would be right.
 *
 * @example readNames('notice delay.ground') // { ok: true, names: ['notice', 'delay', 'ground'] }
 */
export function readNames(text: string): RoleNameResult {
  const no = (reason: string): RoleNameResult => ({ ok: false, reason });
  const names = text.split(/[\s.]+/u).filter(Boolean);
  if (!names.length) return no('Write a name, with dots between groups, as in text.main.');
  const odd = names.find((name) => !ROLE_NAME_PATTERN.test(name));
  if (odd) {
    const sign = /[{}/$]/.exec(odd)![0];
    const right = names.flatMap((name) => name.split(/[{}/$]+/)).filter(Boolean);
    const hint = right.length ? `, as in ${writeGroup(right)}` : '';
    return no(`A name has no "${sign}" in it: write dots between groups${hint}.`);
  }
  const empty = names.find((name) => !slug(name));
  if (empty) return no(`"${empty}" needs at least one letter or digit.`);
  return { ok: true, names: names as [string, ...string[]] };
}

/** {@link readNames} as the group and name of a role. */
export function readRoleName(
  text: string,
): ({ readonly ok: true } & FullName) | { ok: false; reason: string } {
  const result = readNames(text);
  if (!result.ok) return result;
  return { ok: true, group: result.names.slice(0, -1), name: result.names[result.names.length - 1]! };
}

const slugs = new WeakMap<FullName, string>();

/**
 * The custom property of a role without its dashes, before a number keeps it apart from a shade of that name. A
 * role never changes, so it is worked out once.
 */
export function roleSlug(role: FullName): string {
  let text = slugs.get(role);
  if (text === undefined) {
    text = slug(writeRoleName(role));
    slugs.set(role, text);
  }
  return text;
}
