import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { paintedOver } from '@mint-lamp/core/contrast/ratio';
import { meetingOf, usageOf } from '@mint-lamp/core/document/coherence/role-use';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { readNames, writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import { firstWords, wordsOf } from '@mint-lamp/core/document/project/sample-words';
import type { Role } from '@mint-lamp/core/document/roles/role';
import type { Theme } from '@mint-lamp/core/document/themes/theme';
import { groundOf } from '@mint-lamp/core/judged/pairs/measure';
import { worstOfRole } from '@mint-lamp/core/judged/readout/worst-of-role';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { memo, useCallback } from 'react';
import { useStore } from 'react-redux';
import type { MovableThing } from '../../../dragging/color-dragging.tsx';
import { MoveGrip } from '../../../dragging/move-grip.tsx';
import { SORT_MOTION } from '../../../dragging/sort-motion.ts';
import { useEditing } from '../../../store/editing.ts';
import { inTurns } from '../../../store/in-turns.tsx';
import { selectDocument, useReadout, useSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { SheetCell } from './sheet-cell.tsx';
import { pageBand } from './specimen.tsx';
import type { CellActions } from './use-cell-actions.ts';

/** Px of the names at the left, of a theme's column where there are many, and the least of one where all are drawn. */
export const NAME_WIDTH = 168;
export const COLUMN_WIDTH = 288;
export const LEAST_COLUMN_WIDTH = 240;
/** Px of what removes a role. */
export const END_WIDTH = 28;

/** What a row is called among the things that can be dragged. */
export const rowId = (key: string) => `sheet row ${key}`;

/** What lies beneath the page of a theme, as CSS. */
export function pageOf(system: System, theme: ResolvedTheme): string {
  const { r, g, b } = groundOf(system, theme);
  return hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
}

/** What a role is painted with as it is seen on the page of a theme, as CSS. */
function seenOn(theme: ResolvedTheme, role: string | null, system: System): string | null {
  const color = role === null ? null : theme.roles.get(role)?.color;
  if (!color) return role === null ? null : rolePaint(theme, role);
  if (color.alpha === 1) return color.css;
  const { r, g, b } = paintedOver(color, groundOf(system, theme));
  return hexOfRgb8(Math.round(r), Math.round(g), Math.round(b));
}

interface SheetRowProps {
  measure: ((row: Element | null) => void) | undefined;
  index: number;
  role: Role;
  themes: readonly Theme[];
  /** The themes that are drawn, by their places: those near the window. */
  first: number;
  last: number;
  lit: boolean;
  /** The places of the first and last theme in which it is picked; −1 where it is not. */
  pickedFrom: number;
  pickedTo: number;
  actions: CellActions;
  /** Puts it where another row is. */
  onMove: (from: number, to: number) => void;
  /** The column of a derived theme, whether this role's link of it is left out, and the way to change that. */
  column: string | null;
  still: boolean;
  isLeft: boolean;
  onToggle: ((role: string) => void) | null;
}

export const SheetRow = memo(function SheetRow(props: SheetRowProps) {
  const { measure, index, role, lit, onMove, still } = props;
  const { edit, tryEdit } = useEditing();
  const store = useStore() as AppStore;
  const name = writeRoleName(role);
  const data: MovableThing = {
    moves: { kind: 'sheet row', name, index, moveTo: (to) => onMove(index, to) },
  };
  const sorted = useSortable({ id: rowId(role.id), data, disabled: still, ...SORT_MOTION });
  const { setNodeRef } = sorted;
  const ref = useCallback(
    (row: HTMLTableRowElement | null) => {
      setNodeRef(row);
      measure?.(row);
    },
    [setNodeRef, measure],
  );
  const remove = () => {
    // Pairs of a role that is gone would only be broken.
    const { pairs } = selectDocument(store.getState());
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
      style={{ transform: CSS.Translate.toString(sorted.transform), transition: sorted.transition }}
      className={clsx(
        'group/row isolate',
        lit ? 'bg-pressed' : 'bg-ground',
        sorted.isDragging && 'relative z-20',
      )}
    >
      <th
        scope="row"
        title="Write a name, or groups and a name with dots between them to move it"
        className="sticky left-0 z-1 border-b border-hair bg-inherit pl-3 text-left font-normal"
      >
        {!still && (
          <MoveGrip
            name={name}
            what="row"
            sorted={sorted}
            className="inset-y-0 -left-1 group-hover/row:opacity-100"
            onStep={(way) => onMove(index, index + way)}
          />
        )}
        <TextField
          label={`Name of ${name}`}
          hideLabel
          value={role.name}
          inputClassName="border-transparent! bg-transparent! hover:border-control! focus:bg-raised!"
          onCommit={rename}
        />
      </th>
      <RowCells {...props} />
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

/** The cells of a role: what is drawn anew while colours move, and the rest of the row is not. */
const RowCells = inTurns(function RowCells(props: SheetRowProps) {
  const { role, themes, first, last, pickedFrom, pickedTo, actions, column, still, isLeft, onToggle } = props;
  const system = useSystem();
  const readout = useReadout();
  const { pairs } = system.document;
  const use = usageOf(role, pairs);
  const { text, action } = wordsOf(system.document);
  const words = use === 'fill' ? firstWords(action, 11) : firstWords(text, 14);
  const meets = meetingOf(pairs, role.id);
  return (
    <>
      {first > 0 && <td aria-hidden colSpan={first} />}
      {themes.slice(first, last + 1).map((theme, drawn) => {
        const i = first + drawn;
        const resolved = system.themes.get(theme.id)!;
        return (
          <td key={theme.id} className="p-0" style={{ background: pageBand(pageOf(system, resolved)) }}>
            <SheetCell
              role={role}
              theme={theme}
              resolved={resolved.roles.get(role.id)}
              css={rolePaint(resolved, role.id)}
              use={use}
              on={use === 'ground' ? null : seenOn(resolved, meets.ground, system)}
              text={use === 'ground' || use === 'fill' ? seenOn(resolved, meets.text, system) : null}
              words={words}
              linked={linkName(system.document, role.links[theme.id] ?? null)}
              worst={worstOfRole(readout, theme.id, meets)}
              picked={i >= pickedFrom && i <= pickedTo}
              actions={actions}
              proposed={column === theme.id && onToggle ? { isLeft, onToggle } : null}
              still={still}
            />
          </td>
        );
      })}
      {last < themes.length - 1 && <td aria-hidden colSpan={themes.length - 1 - last} />}
    </>
  );
});
