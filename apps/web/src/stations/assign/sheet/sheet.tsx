import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { paintedOver } from '@mint-lamp/core/contrast/ratio';
import { linkName } from '@mint-lamp/core/system/links/link-name';
import { groundOf } from '@mint-lamp/core/system/pairs/measure';
import { worstOfRole } from '@mint-lamp/core/system/readout/worst-of-role';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve/resolve';
import type { Role } from '@mint-lamp/core/system/roles/role';
import { readNames, writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import { meetingOf, usageOf } from '@mint-lamp/core/system/roles/role-use';
import type { Theme } from '@mint-lamp/core/system/themes/theme';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { memo, type Ref, useCallback, useMemo, useState } from 'react';
import { useThemeSwitch } from '../../../kinds/themes/use-theme-switch.ts';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart, useReadout, useSystem, useTheme } from '../../../store/selectors.ts';
import { ofTab } from '../../../store/storage.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { useLongList } from '../../../ui/long-list.ts';
import { TextField } from '../../../ui/text-field.tsx';
import type { ProposedTheme } from '../derive/use-proposed-theme.ts';
import { GroupHeading } from './group-heading.tsx';
import { roleRows } from './role-rows.ts';
import { SheetCell } from './sheet-cell.tsx';
import { pageBand } from './specimen.tsx';

const FOLDED = 'mint-lamp/folded-groups';

/** Groups that are folded, by their written names; remembered in this tab. */
function useFolded() {
  const [folded, setFolded] = useState<ReadonlySet<string>>(
    () => new Set((ofTab.read(FOLDED) ?? '').split(' ').filter(Boolean)),
  );
  const fold = useCallback((group: string) => {
    setFolded((old) => {
      const next = new Set(old);
      if (!next.delete(group)) next.add(group);
      ofTab.write(FOLDED, [...next].join(' '));
      return next;
    });
  }, []);
  return [folded, fold] as const;
}

/** What lies beneath the page of a theme, as CSS. */
function pageOf(system: System, theme: ResolvedTheme): string {
  const { r, g, b } = groundOf(system, theme);
  return hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
}

interface SheetProps {
  open: string | null;
  /** A derived theme that stands among the others until it is taken or left. */
  proposed: ProposedTheme | null;
  /** Nothing is linked otherwise meanwhile. */
  still: boolean;
}

/**
 * Roles × themes, each theme's column a page of that theme: surfaces run through it, text stands on the ground that it
 * meets, lines are lines. The theme that is switched on is marked; a press on another's name switches it on.
 */
export function Sheet({ open, proposed, still }: SheetProps) {
  const roles = useDocumentPart('roles');
  const themes = useDocumentPart('themes');
  const system = useSystem();
  const [folded, fold] = useFolded();
  const items = useMemo(() => roleRows(roles, folded), [roles, folded]);
  const pages = themes.map(({ id }) => pageOf(system, system.themes.get(id)!));
  const { theme: current } = useTheme();
  const switchTheme = useThemeSwitch();
  const { list, rows, before, after, measure } = useLongList<HTMLTableSectionElement>({
    count: items.length,
    estimate: 36,
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
                  {theme.id === proposed?.column && (
                    <span className="ml-1.5 text-sm text-look">proposed</span>
                  )}
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
                count={item.count}
                folded={folded.has(item.group.join('.'))}
                pages={pages}
                onFold={fold}
              />
            ) : (
              <SheetRow
                key={item.key}
                ref={measure}
                index={i}
                role={item.role}
                themes={themes}
                lit={item.key === open}
                column={proposed?.column ?? null}
                still={still || proposed !== null}
                isLeft={proposed?.left.has(item.role.id) ?? false}
                onToggle={proposed?.toggle ?? null}
              />
            );
          })}
          {empty(after)}
        </tbody>
      </table>
    </div>
  );
}

interface SheetRowProps {
  ref: Ref<HTMLTableRowElement> | undefined;
  index: number;
  role: Role;
  themes: readonly Theme[];
  lit: boolean;
  /** The column of a derived theme, whether this role's link of it is left out, and the way to change that. */
  column: string | null;
  still: boolean;
  isLeft: boolean;
  onToggle: ((role: string) => void) | null;
}

/** The colour of a role as it is seen on the page of a theme, as CSS. */
function seenOn(theme: ResolvedTheme, role: string | null, system: System): string | null {
  const color = role === null ? null : theme.roles.get(role)?.color;
  if (!color) return null;
  if (color.alpha === 1) return color.css;
  const { r, g, b } = paintedOver(color, groundOf(system, theme));
  return hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
}

const SheetRow = memo(function SheetRow(props: SheetRowProps) {
  const { ref, index, role, themes, lit, column, still, isLeft, onToggle } = props;
  const { edit, tryEdit } = useEditing();
  const system = useSystem();
  const readout = useReadout();
  const { pairs } = system.document;
  const name = writeRoleName(role);
  const use = usageOf(role, pairs);
  const meets = meetingOf(pairs, role.id);
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
        className="sticky left-0 z-1 w-48 min-w-44 border-b border-hair bg-inherit pl-3 text-left font-normal"
      >
        <TextField
          label={`Name of ${name}`}
          hideLabel
          value={role.name}
          inputClassName="border-transparent! bg-transparent! hover:border-control! focus:bg-raised!"
          onCommit={rename}
        />
      </th>
      {themes.map((theme) => {
        const resolved = system.themes.get(theme.id)!;
        return (
          <td
            key={theme.id}
            className="min-w-72 p-0"
            style={{ background: pageBand(pageOf(system, resolved)) }}
          >
            <SheetCell
              role={role}
              theme={theme}
              resolved={resolved.roles.get(role.id)}
              use={use}
              on={use === 'ground' ? null : seenOn(resolved, meets.ground, system)}
              text={use === 'ground' || use === 'fill' ? seenOn(resolved, meets.text, system) : null}
              linked={linkName(system.document, role.links[theme.id] ?? null)}
              worst={worstOfRole(readout, theme.id, meets)}
              proposed={column === theme.id && onToggle ? { isLeft, onToggle } : null}
              still={still}
            />
          </td>
        );
      })}
      <td className="border-b border-hair">
        {!still && (
          <IconButton label={`Remove ${name}`} onClick={remove}>
            <Trash2 aria-hidden className="size-4 text-quiet" />
          </IconButton>
        )}
      </td>
    </tr>
  );
});
