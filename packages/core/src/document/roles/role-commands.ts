import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, omit, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { MOST_ROLES } from '../limits.ts';
import { canCircle, type Linked, refuseCircles } from '../links/circles.ts';
import type { RoleLink } from '../links/link.ts';
import { checkLength, nameIn, slug } from '../naming/names.ts';
import { roleNameIn, roleSlug, writeGroup, writeRoleName } from '../naming/role-name.ts';
import type { Role, RoleOrigin } from './role.ts';
import type { RoleUse } from './use-names.ts';

/** What these commands look at. */
export interface RoleLists extends Linked {
  readonly roles: readonly Role[];
  readonly themes: readonly { readonly id: string; readonly name: string }[];
}

export type RoleCommand =
  | { readonly type: 'addRole'; readonly role: Role; readonly index?: number }
  | { readonly type: 'removeRole'; readonly role: string }
  | {
      readonly type: 'renameRole';
      readonly role: string;
      readonly group: readonly string[];
      readonly name: string;
    }
  | { readonly type: 'renameRoleGroup'; readonly from: readonly string[]; readonly to: readonly string[] }
  | { readonly type: 'moveRole'; readonly role: string; readonly index: number }
  /** Null for nothing. */
  | { readonly type: 'tellOfRole'; readonly role: string; readonly about: string | null }
  /** Null for a role that is in use. */
  | { readonly type: 'retireRole'; readonly role: string; readonly instead: string | null }
  /** Null for a role that comes from no style sheet. */
  | { readonly type: 'setOrigin'; readonly role: string; readonly origin: RoleOrigin | null }
  | { readonly type: 'setUse'; readonly role: string; readonly use: RoleUse | null }
  | {
      readonly type: 'setLink';
      readonly role: string;
      readonly theme: string;
      readonly link: RoleLink | null;
    };

/** Refuses names that say nothing and names whose custom properties two roles would share. */
export function checkNames(roles: readonly Role[], changed: readonly Role[]): void {
  const takenBy = lookUp(roles, changed);
  for (const role of changed) {
    const written = writeRoleName(role);
    checkLength(written);
    const empty = [...role.group, role.name].find((name) => !slug(name));
    if (empty !== undefined) throw new Refusal(`"${empty}" needs at least one letter or digit.`);
    const other = takenBy(roleSlug(role));
    if (other) throw new Refusal(clash(written, writeRoleName(other)));
  }
}

/** Finds the role that has a custom property, the changed ones under their new names. */
function lookUp(roles: readonly Role[], changed: readonly Role[]): (key: string) => Role | undefined {
  // One name is looked for faster than a table is made.
  if (changed.length === 1)
    return (key) => roles.find((role) => role.id !== changed[0]!.id && roleSlug(role) === key);
  const ids = new Set(changed.map((role) => role.id));
  const taken = new Map(roles.filter((role) => !ids.has(role.id)).map((role) => [roleSlug(role), role]));
  const own = new Map(changed.map((role) => [roleSlug(role), role]));
  if (own.size < changed.length) {
    const twice = changed.find((role) => own.get(roleSlug(role)) !== role)!;
    taken.set(roleSlug(twice), twice);
  }
  return (key) => taken.get(key);
}

function clash(written: string, other: string): string {
  return written === other
    ? `There is a role ${other} already; choose another name.`
    : `${written} would have the same CSS name as the role ${other}, --${slug(other)}; choose another name.`;
}

const isIn = (role: Role, group: readonly string[]) => group.every((name, i) => role.group[i] === name);

export const roleSteps: StepsOf<RoleCommand, RoleLists> = {
  addRole(doc, { role, index }) {
    checkNames(doc.roles, [role]);
    // Links for themes that are gone meanwhile are left behind; a theme of that id must not find them later.
    const known = new Set(doc.themes.map((theme) => theme.id));
    const links = Object.fromEntries(Object.entries(role.links).filter(([theme]) => known.has(theme)));
    const next = { ...doc, roles: inserted(doc.roles, { ...role, links }, index, MOST_ROLES, 'role') };
    refuseCircles(
      next,
      Object.entries(links).flatMap(([theme, link]) =>
        canCircle(next, link) ? [{ kind: 'role' as const, role: role.id, theme }] : [],
      ),
    );
    return [next, { type: 'removeRole', role: role.id }];
  },

  removeRole(doc, { role }) {
    const index = indexOf(doc.roles, role, 'role');
    if (doc.ground === role)
      throw new Refusal(
        `${writeRoleName(doc.roles[index]!)} is what lies beneath the page; choose another ground first.`,
      );
    return [{ roles: without(doc.roles, index) }, { type: 'addRole', role: doc.roles[index]!, index }];
  },

  renameRole(doc, { role, group, name }) {
    const index = indexOf(doc.roles, role, 'role');
    const old = doc.roles[index]!;
    const renamed = { ...old, group, name };
    checkNames(doc.roles, [renamed]);
    return [
      { roles: replaced(doc.roles, index, renamed) },
      { type: 'renameRole', role, group: old.group, name: old.name },
    ];
  },

  renameRoleGroup(doc, { from, to }) {
    const inside = doc.roles.filter((role) => isIn(role, from));
    if (!inside.length) throw new Refusal(`There is no role in ${writeGroup(from)} any more.`);
    const renamed = new Map(
      inside.map((role) => [role.id, { ...role, group: [...to, ...role.group.slice(from.length)] }]),
    );
    checkNames(doc.roles, [...renamed.values()]);
    const next = { ...doc, roles: doc.roles.map((role) => renamed.get(role.id) ?? role) };
    // Going back by the group alone is exact as long as nobody else is in the new one.
    if (next.roles.filter((role) => isIn(role, to)).length === inside.length)
      return [next, { type: 'renameRoleGroup', from: to, to: from }];
    const commands = inside.map(
      ({ id, group, name }): RoleCommand => ({ type: 'renameRole', role: id, group, name }),
    );
    return [next, { type: 'batch', label: `Rename ${writeGroup(to)} to ${writeGroup(from)}`, commands }];
  },

  moveRole(doc, { role, index }) {
    const from = indexOf(doc.roles, role, 'role');
    return [{ roles: moved(doc.roles, from, index) }, { type: 'moveRole', role, index: from }];
  },

  setUse(doc, { role, use }) {
    const index = indexOf(doc.roles, role, 'role');
    const { use: old, ...rest } = doc.roles[index]!;
    const changed: Role = use === null ? rest : { ...rest, use };
    return [{ roles: replaced(doc.roles, index, changed) }, { type: 'setUse', role, use: old ?? null }];
  },

  tellOfRole(doc, { role, about }) {
    const index = indexOf(doc.roles, role, 'role');
    const { about: old, ...rest } = doc.roles[index]!;
    const changed: Role = about === null ? rest : { ...rest, about };
    return [{ roles: replaced(doc.roles, index, changed) }, { type: 'tellOfRole', role, about: old ?? null }];
  },

  retireRole(doc, { role, instead }) {
    const index = indexOf(doc.roles, role, 'role');
    const { retired: old, ...rest } = doc.roles[index]!;
    const changed: Role = instead === null ? rest : { ...rest, retired: instead };
    return [
      { roles: replaced(doc.roles, index, changed) },
      { type: 'retireRole', role, instead: old ?? null },
    ];
  },

  setOrigin(doc, { role, origin }) {
    const index = indexOf(doc.roles, role, 'role');
    const { origin: old, ...rest } = doc.roles[index]!;
    const changed: Role = origin === null ? rest : { ...rest, origin };
    return [{ roles: replaced(doc.roles, index, changed) }, { type: 'setOrigin', role, origin: old ?? null }];
  },

  setLink(doc, { role, theme, link }) {
    const index = indexOf(doc.roles, role, 'role');
    indexOf(doc.themes, theme, 'theme');
    const old = doc.roles[index]!;
    const links: Readonly<Record<string, RoleLink>> =
      link === null ? omit(old.links, theme) : { ...old.links, [theme]: link };
    const next = { ...doc, roles: replaced(doc.roles, index, { ...old, links }) };
    if (link && canCircle(next, link)) refuseCircles(next, [{ kind: 'role', role, theme }]);
    return [next, { type: 'setLink', role, theme, link: old.links[theme] ?? null }];
  },
};

export const roleWords: WordsOf<RoleCommand, RoleLists> = {
  addRole: (_, { role }) => `add the role ${writeRoleName(role)}`,
  removeRole: (doc, { role }) => `remove the role ${roleNameIn(doc.roles, role)}`,
  renameRole: (doc, { role, group, name }) =>
    `rename ${roleNameIn(doc.roles, role)} to ${writeRoleName({ group, name })}`,
  renameRoleGroup: (_, { from, to }) => `rename the group ${writeGroup(from)} to ${writeGroup(to)}`,
  moveRole: (doc, { role }) => `move the role ${roleNameIn(doc.roles, role)}`,
  setUse: (doc, { role, use }) =>
    use
      ? `show ${roleNameIn(doc.roles, role)} as ${use}`
      : `show ${roleNameIn(doc.roles, role)} as its name says`,
  tellOfRole: (doc, { role }) => `say what ${roleNameIn(doc.roles, role)} is for`,
  setOrigin: (doc, { role, origin }) =>
    origin
      ? `say that ${roleNameIn(doc.roles, role)} was ${origin.property}`
      : `forget what ${roleNameIn(doc.roles, role)} was`,
  retireRole: (doc, { role, instead }) =>
    instead === null
      ? `take ${roleNameIn(doc.roles, role)} into use again`
      : `retire ${roleNameIn(doc.roles, role)}`,
  setLink: (doc, { role, theme }) => `link ${roleNameIn(doc.roles, role)} in ${nameIn(doc.themes, theme)}`,
};
