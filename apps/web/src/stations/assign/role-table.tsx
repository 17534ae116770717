import { linkName } from '@mint-lamp/core/system/links/link-name';
import type { Role } from '@mint-lamp/core/system/roles/role';
import { readNames, writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import type { Theme } from '@mint-lamp/core/system/themes/theme';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { memo, type Ref, useMemo } from 'react';
import { useThemeSwitch } from '../../kinds/themes/use-theme-switch.ts';
import { useEditing } from '../../store/editing.ts';
import { useDocumentPart, useSystem, useTheme } from '../../store/selectors.ts';
import { IconButton } from '../../ui/icon-button.tsx';
import { useLongList } from '../../ui/long-list.ts';
import { TextField } from '../../ui/text-field.tsx';
import { GroupHeading } from './group-heading.tsx';
import { RoleCell } from './role-cell.tsx';
import { roleRows } from './role-rows.ts';

/** Roles × themes. The theme that is switched on is marked; a click on another's name switches it on. */
export function RoleTable({ open }: { open: string | null }) {
  const roles = useDocumentPart('roles');
  const themes = useDocumentPart('themes');
  const items = useMemo(() => roleRows(roles), [roles]);
  const { theme: current } = useTheme();
  const switchTheme = useThemeSwitch();
  const { list, rows, before, after, measure } = useLongList<HTMLTableSectionElement>({
    count: items.length,
    estimate: 33,
    keyOf: (index) => items[index]!.key,
    open: items.findIndex(({ key }) => key === open),
  });
  const empty = (height: number) =>
    height > 0 && (
      <tr aria-hidden>
        <td colSpan={themes.length + 2} className="p-0" style={{ height }} />
      </tr>
    );
  return (
    <div className="min-h-0 min-w-fit px-5 pb-5">
      <table aria-rowcount={items.length + 1} className="w-full border-separate border-spacing-0">
        <caption className="sr-only">Roles and what they link to in each theme</caption>
        <thead>
          <tr>
            <th
              scope="col"
              className="sticky top-0 left-0 z-20 border-b border-control bg-ground py-1.5 text-left font-semibold"
            >
              Role
            </th>
            {themes.map((theme) => (
              <th
                key={theme.id}
                scope="col"
                className="sticky top-0 z-10 border-b border-control bg-ground py-1.5 text-left font-normal"
              >
                <button
                  type="button"
                  aria-pressed={theme.id === current.id}
                  onClick={() => switchTheme(theme.id)}
                  className={clsx(
                    'rounded-md px-2 py-0.5',
                    theme.id === current.id ? 'font-semibold' : 'text-quiet',
                  )}
                >
                  {theme.id === current.id && (
                    <span aria-hidden className="mr-1.5 inline-block size-2 rounded-full bg-main" />
                  )}
                  {theme.name}
                </button>
              </th>
            ))}
            <th scope="col" className="sticky top-0 z-10 w-8 border-b border-control bg-ground">
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody ref={list}>
          {empty(before)}
          {rows.map((i) => {
            const item = items[i]!;
            return item.kind === 'group' ? (
              <GroupHeading
                key={item.key}
                ref={measure}
                index={i}
                group={item.group}
                columns={themes.length + 2}
              />
            ) : (
              <RoleRow
                key={item.key}
                ref={measure}
                index={i}
                role={item.role}
                themes={themes}
                lit={item.key === open}
              />
            );
          })}
          {empty(after)}
        </tbody>
      </table>
    </div>
  );
}

interface RoleRowProps {
  ref: Ref<HTMLTableRowElement> | undefined;
  index: number;
  role: Role;
  themes: readonly Theme[];
  lit: boolean;
}

const RoleRow = memo(function RoleRow({ ref, index, role, themes, lit }: RoleRowProps) {
  const { edit, tryEdit } = useEditing();
  const system = useSystem();
  const { pairs } = system.document;
  const name = writeRoleName(role);
  const cell = 'border-b border-hair';
  const remove = () => {
    // Pairs of a role that is gone would only be broken.
    const orphans = pairs.filter((pair) => pair.foreground === role.id || pair.background === role.id);
    edit({
      type: 'batch',
      label: `remove the role ${name}`,
      commands: [
        ...orphans.map((pair) => ({ type: 'removePair', pair: pair.id }) as const),
        { type: 'removeRole', role: role.id },
      ],
    });
  };
  /** One name stays in the group; a name with groups before it moves the role there. */
  const rename = (text: string) => {
    const result = readNames(text);
    if (!result.ok) return result.reason;
    const own = result.names[result.names.length - 1]!;
    const group = result.names.length > 1 ? result.names.slice(0, -1) : role.group;
    return tryEdit({ type: 'renameRole', role: role.id, group, name: own });
  };
  return (
    <tr
      ref={ref}
      data-index={index}
      aria-rowindex={index + 2}
      id={`role-${role.id}`}
      className={lit ? 'bg-pressed' : 'bg-ground'}
    >
      <th
        scope="row"
        title="Write a name, or groups and a name with dots between them to move it"
        className={clsx(cell, 'sticky left-0 z-1 w-56 min-w-48 bg-inherit pl-3 text-left font-normal')}
      >
        <TextField
          label={`Name of ${name}`}
          hideLabel
          value={role.name}
          inputClassName="border-transparent! bg-transparent! hover:border-control! focus:bg-raised!"
          onCommit={rename}
        />
      </th>
      {themes.map((theme) => (
        <td key={theme.id} className={clsx(cell, 'min-w-36')}>
          <RoleCell
            role={role}
            theme={theme}
            resolved={system.themes.get(theme.id)?.roles.get(role.id)}
            linked={linkName(system.document, role.links[theme.id] ?? null)}
          />
        </td>
      ))}
      <td className={cell}>
        <IconButton label={`Remove ${name}`} onClick={remove}>
          <Trash2 aria-hidden className="size-4 text-quiet" />
        </IconButton>
      </td>
    </tr>
  );
});
