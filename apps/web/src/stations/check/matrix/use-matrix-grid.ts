import { clamp } from '@mint-lamp/core/numbers/clamp';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useSize } from '../../../ui/use-size.ts';
import type { Entry } from './entries.ts';
import {
  CELL_HEIGHT,
  CELL_WIDTH,
  HEAD_HEIGHT,
  HEAD_WIDTH,
  isEmptyCell,
  MOST_CELL_WIDTH,
} from './matrix-cells.tsx';

/** Px that the frame and a bar for scrolling take. */
const BESIDE = 18;

export interface MatrixTable {
  rows: readonly Entry[];
  columns: readonly Entry[];
  /** Ratios, row by row; 0 where there is none. */
  table: Float64Array;
  least: number;
  /** Cells that do not reach it are left empty. */
  only: boolean;
  onPress: (row: Entry, column: Entry) => void;
}

interface CellAt {
  readonly row: number;
  readonly column: number;
}

/** The cell of an event; the cells themselves listen to nothing, since there are so many. */
function cellOf({ target }: { readonly target: EventTarget }): CellAt | null {
  const [row, column] = ((target as HTMLElement).closest<HTMLElement>('[data-cell]')?.dataset.cell ?? '')
    .split(' ')
    .map(Number);
  return column === undefined ? null : { row: row!, column };
}

/** Where a key goes from a cell; null for other keys. */
function cellAfter(key: string, { row, column }: CellAt): CellAt | null {
  const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[key];
  if (by) return { row: row + by[0]!, column: column + by[1]! };
  if (key === 'PageDown') return { row: row + 10, column };
  return key === 'PageUp' ? { row: row - 10, column } : null;
}

/** The rows and columns that are drawn, of which one cell has the focus, and what keys and presses do. */
export function useMatrixGrid({ rows, columns, table, least, only, onPress }: MatrixTable) {
  const { element: scroller, width } = useSize<HTMLDivElement>();
  const cellWidth = clamp(
    Math.floor((width - HEAD_WIDTH - BESIDE) / columns.length),
    CELL_WIDTH,
    MOST_CELL_WIDTH,
  );
  const [active, setActive] = useState({ row: 0, column: 0 });
  const at = {
    row: Math.min(active.row, rows.length - 1),
    column: Math.min(active.column, columns.length - 1),
  };
  const down = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => CELL_HEIGHT,
    overscan: 2,
    // The heads lie before the first cell, and over those that are scrolled below them.
    scrollMargin: HEAD_HEIGHT,
    scrollPaddingStart: HEAD_HEIGHT,
    initialRect: { width: 900, height: 500 },
    useFlushSync: false,
  });
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => cellWidth,
    overscan: 1,
    scrollMargin: HEAD_WIDTH,
    scrollPaddingStart: HEAD_WIDTH,
    initialRect: { width: 900, height: 500 },
    useFlushSync: false,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: what has another width is measured anew
  useLayoutEffect(() => across.measure(), [cellWidth]);
  // The cell that the arrow keys go to may have to be drawn first.
  const going = useRef(false);
  useEffect(() => {
    if (!going.current) return;
    const cell = scroller.current?.querySelector<HTMLElement>(`[data-cell="${at.row} ${at.column}"]`);
    if (!cell) return;
    going.current = false;
    cell.focus({ preventScroll: true });
  });
  const press = (event: { readonly target: EventTarget }) => {
    const cell = cellOf(event);
    const [front, back] = cell ? [rows[cell.row], columns[cell.column]] : [];
    if (!cell || !front || !back) return;
    const ratio = table[cell.row * columns.length + cell.column]!;
    if (!isEmptyCell(front, back, ratio, only, least)) onPress(front, back);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter' || event.key === ' ') {
      if (!cellOf(event)) return;
      event.preventDefault();
      press(event);
      return;
    }
    const wanted = cellAfter(event.key, at);
    if (!wanted) return;
    event.preventDefault();
    const next = {
      row: clamp(wanted.row, 0, rows.length - 1),
      column: clamp(wanted.column, 0, columns.length - 1),
    };
    going.current = true;
    setActive(next);
    down.scrollToIndex(next.row);
    across.scrollToIndex(next.column);
  };
  const onFocus = (event: { readonly target: EventTarget }) => {
    const cell = cellOf(event);
    if (cell) setActive(cell);
  };
  return { scroller, cellWidth, at, down, across, press, onKeyDown, onFocus };
}
