import { Refusal } from '../commands/refusal.ts';
import { kindOf } from '../kind.ts';
import { sameJson } from '../same.ts';
import type { Role } from './role.ts';
import { checkNames, type RoleCommand, type RoleLists, roleSteps, roleWords } from './role-commands.ts';
import { roleSchemas } from './role-schema.ts';

export const roles = kindOf<{ readonly roles: readonly Role[] }, RoleCommand, RoleLists>()({
  empty: { roles: [] },
  steps: roleSteps,
  words: roleWords,
  schemas: roleSchemas,
  check({ roles, themes }) {
    checkNames([], roles);
    const known = new Set(themes.map(({ id }) => id));
    if (roles.some(({ links }) => Object.keys(links).some((theme) => !known.has(theme))))
      throw new Refusal('A role has a link in a theme that does not exist.');
  },
  compared: {
    roles: {
      as: 'things',
      word: 'role',
      add: (role, index) => ({ type: 'addRole', role, index }),
      remove: (role) => ({ type: 'removeRole', role }),
      differs: (was, is) => [
        ...(was.use === is.use ? [] : ['what it is shown as']),
        ...(was.about === is.about ? [] : ['what is said of it']),
        ...(was.retired === is.retired ? [] : [is.retired === undefined ? 'in use again' : 'retired']),
        ...(sameJson(was.origin, is.origin) ? [] : ['what it was']),
      ],
    },
  },
});
