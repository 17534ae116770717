import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { readNames, writeGroup } from '@mint-lamp/core/document/naming/role-name';
import clsx from 'clsx';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { memo, useCallback } from 'react';
import type { MovableThing } from '../../../dragging/color-dragging.tsx';
import { MoveGrip } from '../../../dragging/move-grip.tsx';
import { SORT_MOTION } from '../../../dragging/sort-motion.ts';
import { useEditing } from '../../../store/editing.ts';
import { TextField } from '../../../ui/text-field.tsx';
import type { GroupRow } from './role-rows.ts';
import { rowId } from './sheet-row.tsx';
import { pageBand } from './specimen.tsx';

interface GroupHeadingProps {
  measure: ((row: Element | null) => void) | undefined;
  index: number;
  row: GroupRow;
  folded: boolean;
  /** The page of each theme, in CSS. */
  pages: readonly string[];
  first: number;
  last: number;
  onFold: (group: string) => void;
  /** Puts it where another row is, with all its roles; and past the group above or below. */
  onMove: (from: number, to: number) => void;
  onStep: (from: number, way: -1 | 1) => void;
  still: boolean;
}

/** The heading of a group. Renamed here, all roles below it follow, and so does what points to them. */
export const GroupHeading = memo(function GroupHeading(props: GroupHeadingProps) {
  const { measure, index, row, folded, pages, first, last, onFold, onMove, onStep, still } = props;
  const { tryEdit } = useEditing();
  const written = writeGroup(row.group);
  const count = row.roles.length;
  const name = written ? `the group ${written}` : 'the roles in no group';
  const data: MovableThing = {
    moves: { kind: 'sheet row', name, index, moveTo: (to) => onMove(index, to) },
  };
  const sorted = useSortable({ id: rowId(row.key), data, disabled: still, ...SORT_MOTION });
  const { setNodeRef } = sorted;
  const ref = useCallback(
    (element: HTMLTableRowElement | null) => {
      setNodeRef(element);
      measure?.(element);
    },
    [setNodeRef, measure],
  );
  return (
    <tr
      ref={ref}
      data-index={index}
      aria-rowindex={index + 2}
      style={{ transform: CSS.Translate.toString(sorted.transform), transition: sorted.transition }}
      className={clsx('group/row isolate', sorted.isDragging && 'relative z-20')}
    >
      <th scope="rowgroup" className="sticky left-0 z-1 bg-ground pt-3 pb-0.5 text-left font-normal">
        {!still && (
          <MoveGrip
            name={name}
            what="row"
            sorted={sorted}
            className="inset-y-0 -left-1 group-hover/row:opacity-100"
            onStep={(way) => onStep(index, way)}
          />
        )}
        {row.group.length ? (
          <span className="flex items-center pl-2">
            <button
              type="button"
              aria-expanded={!folded}
              aria-label={`${folded ? 'Unfold' : 'Fold'} ${written}, ${count} ${count === 1 ? 'role' : 'roles'}`}
              onClick={() => onFold(written)}
              className="grid size-[24px] shrink-0 place-content-center rounded-md hover:bg-pressed"
            >
              {folded ? (
                <ChevronRight aria-hidden className="size-4" />
              ) : (
                <ChevronDown aria-hidden className="size-4" />
              )}
            </button>
            <TextField
              label={`Name of the group ${written}`}
              hideLabel
              value={written}
              className="flex-1"
              inputClassName="h-7! border-transparent! bg-transparent! px-1! font-title font-semibold -outline-offset-2! hover:border-control! focus:bg-raised!"
              onCommit={(text) => {
                const result = readNames(text);
                if (!result.ok) return result.reason;
                return tryEdit({ type: 'renameRoleGroup', from: row.group, to: result.names });
              }}
            />
            {folded && <span className="text-sm text-quiet">{count}</span>}
          </span>
        ) : (
          <span className="pl-3 text-sm text-quiet">in no group</span>
        )}
      </th>
      {first > 0 && <td aria-hidden colSpan={first} />}
      {pages.slice(first, last + 1).map((page, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: columns have no other identity here
        <td key={i} className="p-0" style={{ background: pageBand(page) }} />
      ))}
      {last < pages.length - 1 && <td aria-hidden colSpan={pages.length - 1 - last} />}
      <td />
    </tr>
  );
});
