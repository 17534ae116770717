import type { Link } from '@mint-lamp/core/document/links/link';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef } from 'react';
import { toast } from 'sonner';
import type { CellBlock, CellPlace } from './cell-block.ts';
import type { BlockEdits } from './use-block-edits.ts';
import type { CellPicking } from './use-cell-picking.ts';

/** What the keyboard, pointer and drops do with cells of the sheet. */
export interface CellActions {
  readonly onKeyDown: (event: KeyboardEvent<HTMLElement>, cell: CellPlace) => void;
  readonly onPointerDown: (event: PointerEvent<HTMLElement>, cell: CellPlace) => void;
  readonly onFocus: (cell: CellPlace) => void;
  /** Links a cell on which something was put down; all that are picked with it, if it is one of them. */
  readonly drop: (cell: CellPlace, link: Link) => void;
}

const ARROWS: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

const elementOf = ({ role, theme }: CellPlace) =>
  document.querySelector<HTMLElement>(`[data-role="${role}"][data-role-cell="${theme}"]`);

/** The keys and presses of the sheet's cells, as functions that stay the same so that cells are not drawn again. */
export function useCellActions(
  picking: CellPicking,
  edits: BlockEdits,
  roles: readonly string[],
  themes: readonly string[],
): CellActions {
  const latest = useRef({ picking, edits, roles, themes });
  latest.current = { picking, edits, roles, themes };
  /** The focus is moved by picking, which does not begin anew with it. */
  const keeping = useRef(false);
  return useMemo((): CellActions => {
    const blockOf = (cell: CellPlace): CellBlock => {
      const { block } = latest.current.picking;
      const isIn = block?.roles.includes(cell.role) && block.themes.includes(cell.theme);
      return isIn ? block! : { roles: [cell.role], themes: [cell.theme] };
    };
    const beside = ({ role, theme }: CellPlace, [down, right]: readonly [number, number]) => {
      const { roles: rows, themes: columns } = latest.current;
      const next = { role: rows[rows.indexOf(role) + down], theme: columns[columns.indexOf(theme) + right] };
      return next.role && next.theme ? (next as CellPlace) : null;
    };
    const pickTo = (cell: CellPlace) => {
      latest.current.picking.extend(cell);
      keeping.current = true;
      elementOf(cell)?.focus();
      keeping.current = false;
    };
    /** Does what a key says; false for keys that say nothing here. */
    const obey = (event: KeyboardEvent, cell: CellPlace): boolean => {
      const { edits: can, roles: rows, themes: columns, picking: now } = latest.current;
      const block = blockOf(cell);
      const mod = event.ctrlKey || event.metaKey;
      if (mod && event.key === 'c') {
        can.copy(block);
        return true;
      }
      if (mod && event.key === 'v') return can.paste(block, rows, columns);
      const arrow = ARROWS[event.key];
      if (mod || event.altKey) return false;
      if (arrow && event.shiftKey) {
        const next = beside(cell, arrow);
        if (next) pickTo(next);
        return next !== null;
      }
      switch (event.key) {
        case 'ArrowLeft':
          return can.step(block, 'darker');
        case 'ArrowRight':
          return can.step(block, 'lighter');
        case 'ArrowUp':
        case 'ArrowDown': {
          const next = beside(cell, arrow!);
          if (next) elementOf(next)?.focus();
          return true;
        }
        case 'Delete':
        case 'Backspace':
          can.clear(block);
          return true;
        case 'Escape':
          if (!now.block) return false;
          now.clear();
          return true;
        default:
          return false;
      }
    };
    return {
      onKeyDown: (event, cell) => {
        if (obey(event, cell)) event.preventDefault();
      },
      onPointerDown: (event, cell) => {
        if (!event.shiftKey) return;
        // No text is marked, and the focus does not begin anew.
        event.preventDefault();
        pickTo(cell);
      },
      onFocus: (cell) => {
        if (!keeping.current) latest.current.picking.begin(cell);
      },
      drop: (cell, link) => {
        const refused = latest.current.edits.link(blockOf(cell), link);
        if (refused) toast.error(refused);
      },
    };
  }, []);
}
