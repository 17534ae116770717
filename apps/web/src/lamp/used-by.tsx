import type { Families } from '@mint-lamp/core/system/families/resolved-family';
import { type Gradient, stopsOf } from '@mint-lamp/core/system/gradients/gradient';
import type { Link } from '@mint-lamp/core/system/links/link';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve/resolve';
import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import { memo, useMemo, useRef, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { addressOf } from '../addresses.ts';
import type { SelectionOf } from '../kinds/lit-color.ts';
import type { Selection } from '../store/interface-slice.ts';
import { selectProject, selectSystem, useDocumentPart, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { part } from '../ui/part.tsx';

const ReplaceEverywhere = part(() => import('./replace-everywhere.tsx'));

const MOST = 12;

interface User {
  readonly key: string;
  readonly name: string;
  readonly to: string;
}

/** Where the lit colour is used in this theme: roles and gradients that follow it. */
export function UsedBy() {
  const id = useAppSelector((state) => selectProject(state).id);
  const selection = useAppSelector((state) => state.interface.selection);
  const theme = useTheme();
  const roles = useDocumentPart('roles');
  const gradients = useDocumentPart('gradients');
  const families = useAppSelector((state) => selectSystem(state).families);
  // A link to a label that is gone leads nowhere.
  const family = selection && 'family' in selection ? families.get(selection.family) : undefined;
  const labels = family?.shades.map((shade) => shade.label).join(' ');
  const latest = useRef({ theme, families });
  latest.current = { theme, families };
  const themeId = theme.theme.id;
  // Who follows whom does not change while a colour is dragged: only roles, gradients, the theme or labels change it.
  // biome-ignore lint/correctness/useExhaustiveDependencies: as said, the theme's colours do not matter here
  const users = useMemo(
    () => usersOf(id, latest.current.theme, latest.current.families, selection, gradients),
    [id, selection, roles, gradients, themeId, labels],
  );
  if (!users) return null;
  const own = selection?.kind === 'base' || selection?.kind === 'shade' ? selection : null;
  return (
    <UserList
      key={own ? `${own.kind} ${own.family}` : ''}
      users={users}
      themeName={theme.theme.name}
      own={own}
    />
  );
}

/** Whether a link leads to a selected base, or to a selected shade. */
function isOf(link: Link, selection: SelectionOf<'base' | 'shade'>, families: Families): boolean {
  if (link.to !== 'shade' && link.to !== 'base') return false;
  const family = link.family === selection.family ? families.get(link.family) : undefined;
  const label = link.to === 'shade' ? link.shade : family?.base.label;
  if (!family || label === undefined || !family.byLabel.has(label)) return false;
  return selection.kind === 'base' || label === selection.shade;
}

function usersOf(
  id: string,
  theme: ResolvedTheme,
  families: Families,
  selection: Selection | null,
  gradients: readonly Gradient[],
): User[] | null {
  if (selection?.kind !== 'base' && selection?.kind !== 'shade' && selection?.kind !== 'role') return null;
  const users: User[] = [];
  for (const { role, link, source } of theme.roles.values()) {
    const follows =
      selection.kind === 'role'
        ? link?.to === 'role' && link.role === selection.role
        : source?.family === selection.family &&
          (selection.kind === 'base' || source.shade === selection.shade);
    if (follows)
      users.push({ key: role.id, name: writeRoleName(role), to: addressOf(id, 'assign', role.id) });
  }
  for (const gradient of gradients) {
    const follows = stopsOf(gradient).some(({ color: link }) =>
      selection.kind === 'role'
        ? link.to === 'role' && link.role === selection.role
        : isOf(link, selection, families),
    );
    if (follows)
      users.push({ key: gradient.id, name: gradient.name, to: addressOf(id, 'fade', gradient.id) });
  }
  return users;
}

interface UserListProps {
  users: readonly User[];
  themeName: string;
  /** The shade or base that they follow, which can be replaced everywhere. */
  own: SelectionOf<'base' | 'shade'> | null;
}

const UserList = memo(function UserList({ users, themeName, own }: UserListProps) {
  const [replacing, setReplacing] = useState(false);
  return (
    <section aria-label="Used by" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">
        {users.length ? `Followed by ${users.length} in ${themeName}` : `Nothing follows it in ${themeName}`}
      </h3>
      <ul>
        {users.slice(0, MOST).map((user) => (
          <li key={user.key}>
            <RouterLink to={user.to} className="hover:underline">
              {user.name}
            </RouterLink>
          </li>
        ))}
        {users.length > MOST && <li className="text-quiet">and {users.length - MOST} more</li>}
      </ul>
      {own &&
        (replacing ? (
          <ReplaceEverywhere selection={own} onDone={() => setReplacing(false)} />
        ) : (
          <Button small onClick={() => setReplacing(true)}>
            Replace everywhere …
          </Button>
        ))}
    </section>
  );
});
