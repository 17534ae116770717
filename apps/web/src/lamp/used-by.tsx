import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Family } from '@mint-lamp/core/document/families/family';
import { nameIn } from '@mint-lamp/core/document/naming/names';
import { roleNameIn, writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { type Depended, dependentsOf } from '@mint-lamp/core/judged/readout/dependents';
import type { System } from '@mint-lamp/core/system/resolve';
import { memo, useMemo, useRef, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { addressOf } from '../addresses.ts';
import type { SelectionOf } from '../kinds/lit-color.ts';
import type { Selection } from '../store/interface-slice.ts';
import { selectProject, useSettledSystem, useTheme } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { part } from '../ui/part.tsx';

const ReplaceEverywhere = part(() => import('./replace-everywhere.tsx'));

const MOST = 12;

/** What depends on the lit thing: in this theme, and beyond it. */
interface Users {
  readonly here: readonly User[];
  readonly elsewhere: readonly User[];
}

interface User {
  readonly key: string;
  /** What it is called and where it is; of thousands, only those that are listed are asked. */
  readonly told: () => { readonly name: string; readonly to: string };
}

/** Where the lit colour is used: roles and gradients that follow it in this theme, and whatever else depends on it. */
export default function UsedBy() {
  const id = useAppSelector((state) => selectProject(state).id);
  const selection = useAppSelector((state) => state.interface.selection);
  const { theme } = useTheme();
  // Who depends on it is read when a gesture is over.
  const system = useSettledSystem();
  const { roles, gradients, pairs, tray, themes } = system.document;
  const latest = useRef(system);
  latest.current = system;
  // Who follows whom does not change while a colour is dragged, but for the labels of the shades.
  const family = selection && 'family' in selection ? system.families.get(selection.family) : undefined;
  const labels = family?.shades.map((shade) => shade.label).join(' ');
  const bonds = useBonds(system.document.families);
  // biome-ignore lint/correctness/useExhaustiveDependencies: as said, the colours do not matter here
  const users = useMemo(
    () => usersOf(id, latest.current, theme.id, selection),
    [id, selection, roles, gradients, pairs, tray, themes, theme.id, labels, bonds],
  );
  if (!users) return null;
  const own = selection?.kind === 'base' || selection?.kind === 'shade' ? selection : null;
  return (
    <UserList key={own ? `${own.kind} ${own.family}` : ''} users={users} themeName={theme.name} own={own} />
  );
}

/** The same object for as long as families follow and grow on the same things, whatever their colours are. */
function useBonds(families: readonly Family[]): readonly Family[] {
  const known = useRef(families);
  const same =
    known.current.length === families.length &&
    families.every(({ id, name, follows, growth }, i) => {
      const was = known.current[i]!;
      return id === was.id && name === was.name && follows === was.follows && growth === was.growth;
    });
  if (!same) known.current = families;
  return known.current;
}

/** What others can depend on, of what is selected: a swatch by its colour, a stop not at all. */
function thingOf(selection: Selection | null, { tray }: Pick<ProjectDocument, 'tray'>): Depended | null {
  if (!selection || selection.kind === 'stop') return null;
  if (selection.kind !== 'swatch') return selection;
  const swatch = tray.find(({ id }) => id === selection.swatch);
  return swatch ? { kind: 'color', color: swatch.color } : null;
}

/** What follows the selected thing in the theme that is switched on, and what does elsewhere. */
function usersOf(id: string, system: System, themeId: string, selection: Selection | null): Users | null {
  const { document } = system;
  const thing = thingOf(selection, document);
  if (!thing) return null;
  const { roles, gradients, families, pairs } = dependentsOf(system, thing);
  const here: User[] = [];
  const elsewhere: User[] = [];
  for (const { role, themes } of roles) {
    const to = () => addressOf(id, 'assign', role.id);
    if (themes.includes(themeId))
      here.push({ key: role.id, told: () => ({ name: writeRoleName(role), to: to() }) });
    else {
      const names = () => themes.map((theme) => nameIn(document.themes, theme)).join(', ');
      elsewhere.push({
        key: role.id,
        told: () => ({ name: `${writeRoleName(role)} in ${names()}`, to: to() }),
      });
    }
  }
  for (const { id: gradient, name } of gradients)
    here.push({ key: gradient, told: () => ({ name, to: addressOf(id, 'fade', gradient) }) });
  for (const { id: family, name } of families)
    elsewhere.push({
      key: family,
      told: () => ({ name: `the family ${name}`, to: addressOf(id, 'grow', family) }),
    });
  const roleName = (role: string) => roleNameIn(document.roles, role);
  for (const { id: pair, foreground, background } of pairs)
    elsewhere.push({
      key: pair,
      told: () => ({
        name: `the pair ${roleName(foreground)} on ${roleName(background)}`,
        to: addressOf(id, 'check', pair),
      }),
    });
  return { here, elsewhere };
}

interface UserListProps {
  users: Users;
  themeName: string;
  /** The shade or base that they follow, which can be replaced everywhere. */
  own: SelectionOf<'base' | 'shade'> | null;
}

const UserList = memo(function UserList({ users: { here, elsewhere }, themeName, own }: UserListProps) {
  const [replacing, setReplacing] = useState(false);
  const [open, setOpen] = useState(false);
  return (
    <section aria-label="Used by" data-help="used-by" className="border-t border-hair pt-2">
      <h3 className="text-sm text-quiet">
        {here.length ? `Used by ${here.length} in ${themeName}` : `Nothing uses it in ${themeName}`}
      </h3>
      <Names users={here} />
      {elsewhere.length > 0 && (
        <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
          <summary className="min-h-[24px] cursor-pointer text-sm text-quiet">
            {elsewhere.length === 1 ? 'One other thing depends' : `${elsewhere.length} other things depend`}{' '}
            on it
          </summary>
          {open && <Names users={elsewhere} />}
        </details>
      )}
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

/** The first of some things that depend on it, each leading there; the others when they are asked for. */
function Names({ users }: { users: readonly User[] }) {
  const [all, setAll] = useState(false);
  return (
    <ul>
      {(all ? users : users.slice(0, MOST)).map(({ key, told }) => {
        const { name, to } = told();
        return (
          <li key={key}>
            <RouterLink to={to} className="inline-flex min-h-[24px] items-center hover:underline">
              {name}
            </RouterLink>
          </li>
        );
      })}
      {users.length > MOST && !all && (
        <li>
          <button
            type="button"
            onClick={() => setAll(true)}
            className="min-h-[24px] rounded-md text-quiet underline underline-offset-2"
          >
            and {users.length - MOST} more
          </button>
        </li>
      )}
    </ul>
  );
}
