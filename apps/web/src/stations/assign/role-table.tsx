import type { Role, Theme } from '@mint-lamp/core/system/document';
import type { ResolvedRole } from '@mint-lamp/core/system/resolve';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { memo, type Ref, useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../frame/color-dragging.tsx';
import { useThemeSwitch } from '../../frame/use-theme-switch.ts';
import { linkName } from '../../links/link-name.ts';
import { LinkPicker } from '../../links/link-picker.tsx';
import { useEditing } from '../../store/editing.ts';
import { selectProject, useProjectDocument, useSystem, useTheme } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { ColorChip } from '../../ui/color-chip.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { useLongList } from '../../ui/long-list.ts';
import { TextField } from '../../ui/text-field.tsx';

const groupOf = (path: string) => path.split('/')[0]!;

/** Roles × themes. The theme that is switched on is marked; a click on another's name switches it on. */
export function RoleTable({ open }: { open: string | null }) {
  const { roles, themes } = useProjectDocument();
  const { theme: current } = useTheme();
  const switchTheme = useThemeSwitch();
  const { list, rows, before, after, measure } = useLongList<HTMLTableSectionElement>({
    count: roles.length,
    estimate: 33,
    keyOf: (index) => roles[index]!.id,
    open: roles.findIndex(({ id }) => id === open),
  });
  const empty = (height: number) =>
    height > 0 && (
      <tr aria-hidden>
        <td colSpan={themes.length + 2} className="p-0" style={{ height }} />
      </tr>
    );
  return (
    <div className="min-h-0 min-w-fit px-5 pb-5">
      <table aria-rowcount={roles.length + 1} className="w-full border-separate border-spacing-0">
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
          {rows.map((i) => (
            <RoleRow
              key={roles[i]!.id}
              ref={measure}
              index={i}
              role={roles[i]!}
              themes={themes}
              lit={roles[i]!.id === open}
              first={i === 0 || groupOf(roles[i]!.path) !== groupOf(roles[i - 1]!.path)}
            />
          ))}
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
  /** The first of its group gets more air above. */
  first: boolean;
}

const RoleRow = memo(function RoleRow({ ref, index, role, themes, lit, first }: RoleRowProps) {
  const { edit } = useEditing();
  const system = useSystem();
  const { pairs } = system.document;
  const cell = clsx('border-b border-hair', first && 'pt-2');
  const remove = () => {
    // Pairs of a role that is gone would only be broken.
    const orphans = pairs.filter((pair) => pair.foreground === role.id || pair.background === role.id);
    edit({
      type: 'batch',
      label: `remove the role ${role.path}`,
      commands: [
        ...orphans.map((pair) => ({ type: 'removePair', pair: pair.id }) as const),
        { type: 'removeRole', role: role.id },
      ],
    });
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
        className={clsx(cell, 'sticky left-0 z-1 w-56 min-w-48 bg-inherit text-left font-normal')}
      >
        <TextField
          label={`Path of ${role.path}`}
          hideLabel
          value={role.path}
          inputClassName="border-transparent! bg-transparent! hover:border-control! focus:bg-raised!"
          onCommit={(path) =>
            edit({ type: 'renameRole', role: role.id, path }) ? null : 'Choose another path'
          }
        />
      </th>
      {themes.map((theme) => (
        <td key={theme.id} className={clsx(cell, 'min-w-36')}>
          <RoleCell role={role} theme={theme} resolved={system.themes.get(theme.id)?.roles.get(role.id)} />
        </td>
      ))}
      <td className={cell}>
        <IconButton label={`Remove ${role.path}`} onClick={remove}>
          <Trash2 aria-hidden className="size-4 text-quiet" />
        </IconButton>
      </td>
    </tr>
  );
});

/** One role in one theme: its colour and link; a click opens the choice of another. */
function RoleCell({
  role,
  theme,
  resolved,
}: {
  role: Role;
  theme: Theme;
  resolved: ResolvedRole | undefined;
}) {
  const doc = useProjectDocument();
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  const { edit, preview } = useEditing();
  const [opened, setOpened] = useState(false);
  const drop = useColorDrop(`role ${role.id} ${theme.id}`, (color) =>
    edit({ type: 'setLink', role: role.id, theme: theme.id, link: { to: 'color', color } }),
  );
  const link = role.links[theme.id] ?? null;
  const button = (
    <button
      ref={drop.setNodeRef}
      type="button"
      aria-label={`${role.path} in ${theme.name}: ${linkName(doc, link)}`}
      title={resolved?.problem ?? resolved?.color?.css}
      onClick={() => {
        setOpened(true);
        switchTheme(theme.id);
        navigate(addressOf(id, 'assign', role.id), { replace: true });
      }}
      className={clsx(
        'flex w-full items-center gap-2 rounded-md px-2 py-1 text-left -outline-offset-2 hover:bg-pressed',
        drop.isOver && 'outline-2 outline-ring',
      )}
    >
      <ColorChip css={resolved?.color?.css ?? null} className="h-6 w-9" />
      <span className={clsx('truncate', resolved?.color ? '' : 'text-fail')}>{linkName(doc, link)}</span>
    </button>
  );
  // The picker is made when it is first wanted, so that a large table stays light.
  if (!opened) return button;
  return (
    <LinkPicker
      startOpen
      link={link}
      label={`Link of ${role.path} in ${theme.name}`}
      trigger={button}
      exceptRole={role.id}
      onPick={(next) => edit({ type: 'setLink', role: role.id, theme: theme.id, link: next })}
      onPreview={(next) => preview(next && { type: 'setLink', role: role.id, theme: theme.id, link: next })}
    />
  );
}
