import { writeRoleName } from '../document/naming/role-name.ts';
import type { Role } from '../document/roles/role.ts';

/** What stands behind custom properties in our own style sheets, and is read back from there. */

/** Said behind a gradient that is in plain stops for the sake of browsers. */
const IN_PLAIN_STOPS = '; in plain stops, which every browser paints alike';
const RETIRED = / \(retired(?:: (.*))?\)$/u;

/** What is said of a role beside its name. */
export type RoleTold = Pick<Role, 'about' | 'retired'>;

/** A role's written name, with what is said of it: `text.link · On the page's ground (retired: text.main)`. */
export function roleRemark(role: Role): string {
  const { about, retired } = role;
  const told = about === undefined ? '' : ` · ${about}`;
  return `${writeRoleName(role)}${told}${retired === undefined ? '' : ` (retired${retired && `: ${retired}`})`}`;
}

/** What {@link roleRemark} wrote; names of roles have no spaces. */
export function readRoleRemark(remark: string): RoleTold & { readonly name: string } {
  const retired = RETIRED.exec(remark);
  const rest = retired ? remark.slice(0, retired.index) : remark;
  const space = rest.indexOf(' · ');
  const about = space < 0 ? '' : rest.slice(space + 3).trim();
  return {
    name: space < 0 ? rest : rest.slice(0, space),
    ...(about ? { about } : {}),
    ...(retired ? { retired: retired[1] ?? '' } : {}),
  };
}

export const gradientRemark = (name: string, isPlain: boolean): string =>
  isPlain ? `${name}${IN_PLAIN_STOPS}` : name;

export const readGradientRemark = (remark: string): string =>
  remark.endsWith(IN_PLAIN_STOPS) ? remark.slice(0, -IN_PLAIN_STOPS.length) : remark;
