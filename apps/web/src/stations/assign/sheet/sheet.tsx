import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { Link } from '@mint-lamp/core/document/links/link';
import { writeGroup } from '@mint-lamp/core/document/naming/role-name';
import type { Role } from '@mint-lamp/core/document/roles/role';
import { useCallback, useMemo, useRef } from 'react';
import { shallowEqual } from 'react-redux';
import { toast } from 'sonner';
import { useEditing } from '../../../store/editing.ts';
import { selectSystem, selectTheme, useDocumentPart } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { useLongList } from '../../../ui/long-list.ts';
import { useColumnsInView } from '../../../ui/wide-table.ts';
import type { ProposedTheme } from '../derive/use-proposed-theme.ts';
import { BlockBar } from './block-bar.tsx';
import { GroupHeading } from './group-heading.tsx';
import { movedRow } from './moved-row.ts';
import { RackDrawer } from './rack-drawer.tsx';
import { type RoleRow, roleRows } from './role-rows.ts';
import { SheetHead } from './sheet-head.tsx';
import {
  COLUMN_WIDTH,
  END_WIDTH,
  LEAST_COLUMN_WIDTH,
  NAME_WIDTH,
  pageOf,
  rowId,
  SheetRow,
} from './sheet-row.tsx';
import { useBlockEdits } from './use-block-edits.ts';
import { useCellActions } from './use-cell-actions.ts';
import { useCellPicking } from './use-cell-picking.ts';
import { useFolded } from './use-folded.ts';

interface SheetProps {
  open: string | null;
  /** A derived theme that stands among the others until it is taken or left. */
  proposed: ProposedTheme | null;
  /** Nothing is linked otherwise meanwhile. */
  still: boolean;
}

/** Puts roles and groups elsewhere, by their places in the list. */
function useMovingRows(roles: readonly Role[], items: readonly RoleRow[]) {
  const { edit } = useEditing();
  const latest = useRef({ roles, items });
  latest.current = { roles, items };
  const move = useCallback(
    (from: number, to: number) => {
      const { roles: now, items: rows } = latest.current;
      const commands = movedRow(now, rows, from, to);
      const row = rows[from]!;
      const name = row.kind === 'role' ? row.role.name : writeGroup(row.group);
      if (commands.length) edit({ type: 'batch', label: `move ${name}`, commands });
    },
    [edit],
  );
  /** Past the whole group above or below. */
  const stepGroup = useCallback(
    (from: number, way: -1 | 1) => {
      const { items: rows } = latest.current;
      let to = from + way;
      while (rows[to] && (way === 1 ? rows[to]!.kind !== 'group' : to > 0 && rows[to]!.kind !== 'group'))
        to += way;
      move(from, to);
    },
    [move],
  );
  return { move, stepGroup };
}

/** The colour of each theme's page: the same list as long as the pages stay as they are. */
function usePages(): readonly string[] {
  return useAppSelector((state) => {
    const system = selectSystem(state);
    return system.document.themes.map(({ id }) => pageOf(system, system.themes.get(id)!));
  }, shallowEqual);
}

/**
 * Roles × themes, each theme's column a page of that theme: surfaces run through it, text stands on the ground that it
 * meets, lines are lines. The theme that is switched on is marked; a press on another's name switches it on.
 */
export function Sheet({ open, proposed, still: isStill }: SheetProps) {
  const roles = useDocumentPart('roles');
  const themes = useDocumentPart('themes');
  const current = useAppSelector((state) => selectTheme(state).theme);
  const [folded, fold] = useFolded();
  const still = isStill || proposed !== null;
  const items = useMemo(() => roleRows(roles, folded), [roles, folded]);
  const shown = useMemo(() => items.flatMap((row) => (row.kind === 'role' ? [row.key] : [])), [items]);
  const columns = useMemo(() => themes.map(({ id }) => id), [themes]);
  const picking = useCellPicking(shown, columns);
  const edits = useBlockEdits();
  const actions = useCellActions(picking, edits, shown, columns);
  const pages = usePages();
  const { move, stepGroup } = useMovingRows(roles, items);
  const { list, rows, before, after, measure } = useLongList<HTMLTableSectionElement>({
    count: items.length,
    estimate: 36,
    keyOf: (index) => items[index]!.key,
    open: items.findIndex(({ key }) => key === open),
  });
  const order = useMemo(() => items.map(({ key }) => rowId(key)), [items]);
  const give = (link: Link, name: string) => {
    const { block } = picking;
    const lit = open && shown.includes(open) ? { roles: [open], themes: [current.id] } : null;
    const onto = block ?? lit;
    if (!onto) {
      toast(`Pick the cells that ${name} is for, or drag it onto one.`);
      return;
    }
    const refused = edits.link(onto, link);
    if (refused) toast.error(refused);
  };
  const { block } = picking;
  const pickedRoles = useMemo(() => new Set(block?.roles), [block]);
  const [pickedFrom, pickedTo] = block
    ? [columns.indexOf(block.themes[0]!), columns.indexOf(block.themes[block.themes.length - 1]!)]
    : [-1, -1];
  const { inside, first, last } = useColumnsInView<HTMLDivElement>(themes.length, COLUMN_WIDTH, NAME_WIDTH);
  const whole = last - first + 1 === themes.length;
  /** A row of the sheet: the heading of a group, or a role with its cells. */
  const row = (i: number) => {
    const item = items[i]!;
    if (item.kind === 'group')
      return (
        <GroupHeading
          key={item.key}
          measure={measure}
          index={i}
          row={item}
          folded={folded.has(item.group.join('.'))}
          pages={pages}
          first={first}
          last={last}
          onFold={fold}
          onMove={move}
          onStep={stepGroup}
          still={still}
        />
      );
    const isPicked = pickedRoles.has(item.key);
    return (
      <SheetRow
        key={item.key}
        measure={measure}
        index={i}
        role={item.role}
        themes={themes}
        first={first}
        last={last}
        lit={item.key === open}
        pickedFrom={isPicked ? pickedFrom : -1}
        pickedTo={isPicked ? pickedTo : -1}
        actions={actions}
        onMove={move}
        column={proposed?.column ?? null}
        still={still}
        isLeft={proposed?.left.has(item.role.id) ?? false}
        onToggle={proposed?.toggle ?? null}
      />
    );
  };
  const empty = (height: number) =>
    height > 0 && (
      <tr aria-hidden>
        <td colSpan={themes.length + 2} className="p-0" style={{ height }} />
      </tr>
    );
  return (
    <>
      <div ref={inside} className="min-h-0 min-w-fit flex-1 px-5 pb-5">
        <table
          aria-rowcount={items.length + 1}
          className="table-fixed border-separate border-spacing-0"
          // Columns are as wide as there is room: as wide as their content, all would be laid out to learn their widths.
          style={
            whole
              ? { width: '100%', minWidth: NAME_WIDTH + themes.length * LEAST_COLUMN_WIDTH + END_WIDTH }
              : { width: NAME_WIDTH + themes.length * COLUMN_WIDTH + END_WIDTH }
          }
        >
          <caption className="sr-only">Roles and what they link to in each theme</caption>
          <colgroup>
            <col style={{ width: NAME_WIDTH }} />
            <col span={themes.length} style={whole ? undefined : { width: COLUMN_WIDTH }} />
            <col style={{ width: END_WIDTH }} />
          </colgroup>
          <SheetHead themes={themes} current={current.id} proposed={proposed?.column ?? null} />
          <SortableContext items={order} strategy={verticalListSortingStrategy}>
            <tbody ref={list}>
              {empty(before)}
              {rows.map(row)}
              {empty(after)}
            </tbody>
          </SortableContext>
        </table>
      </div>
      {!still && (
        <div className="sticky bottom-0 left-0 z-30">
          {block && (
            <BlockBar block={block} edits={edits} roles={shown} themes={columns} onClear={picking.clear} />
          )}
          <RackDrawer onPick={give} />
        </div>
      )}
    </>
  );
}
