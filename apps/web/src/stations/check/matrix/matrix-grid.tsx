import { formatRatio, reaches } from '@mint-lamp/core/contrast/ratio';
import { tableColorIn } from '@mint-lamp/core/judged/readout/ratio-table';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { rolePaint } from '@mint-lamp/core/system/roles/role-paint';
import { useVirtualizer } from '@tanstack/react-virtual';
import clsx from 'clsx';
import { type CSSProperties, type KeyboardEvent, memo, useEffect, useMemo, useRef, useState } from 'react';
import { useSystem, useTheme } from '../../../store/selectors.ts';
import { ColorChip } from '../../../ui/color-chip.tsx';
import type { Entry } from './entries.ts';

const CELL_WIDTH = 84;
const CELL_HEIGHT = 34;
const HEAD_WIDTH = 168;
const HEAD_HEIGHT = 52;

interface MatrixGridProps {
  rows: readonly Entry[];
  columns: readonly Entry[];
  /** Ratios, row by row; 0 where there is none. */
  table: Float64Array;
  least: number;
  /** Cells that do not reach it are left empty. */
  only: boolean;
  /** The theme that colours are shown in; null for the one that is switched on, where the figures are the worst of all. */
  theme: string | null;
  /** Ids of pairs by the ids of their roles. */
  paired: ReadonlyMap<string, string>;
  onPress: (row: Entry, column: Entry) => void;
}

/** Bars that say how far a ratio carries: three for 7, two for 4.5, one for 3; so that it is not told by colour alone. */
const LEVELS = [
  { least: 7, bars: 3, words: 'AAA body text' },
  { least: 4.5, bars: 2, words: 'AA body text' },
  { least: 3, bars: 1, words: 'large text and graphics' },
  { least: 0, bars: 0, words: 'nothing' },
] as const;
const levelOf = (ratio: number) => LEVELS.find(({ least }) => reaches(ratio, least))!;

/** Ratios of all on all; only the cells near the window are drawn, heads stay in sight. One cell at a time has the focus. */
export function MatrixGrid(props: MatrixGridProps) {
  const { rows, columns, table, least, only, theme, paired, onPress } = props;
  const system = useSystem();
  const current = useTheme();
  const shown = (theme && system.themes.get(theme)) || current;
  const scroller = useRef<HTMLDivElement>(null);
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
    estimateSize: () => CELL_WIDTH,
    overscan: 1,
    scrollMargin: HEAD_WIDTH,
    scrollPaddingStart: HEAD_WIDTH,
    initialRect: { width: 900, height: 500 },
    useFlushSync: false,
  });
  // The cell that the arrow keys go to may have to be drawn first.
  const going = useRef(false);
  useEffect(() => {
    if (!going.current) return;
    const cell = scroller.current?.querySelector<HTMLElement>(`[data-cell="${at.row} ${at.column}"]`);
    if (!cell) return;
    going.current = false;
    cell.focus({ preventScroll: true });
  });
  /** The cell of an event; the cells themselves listen to nothing, since there are so many. */
  const cellOf = ({ target }: { readonly target: EventTarget }) => {
    const [row, column] = ((target as HTMLElement).closest<HTMLElement>('[data-cell]')?.dataset.cell ?? '')
      .split(' ')
      .map(Number);
    return column === undefined ? null : { row: row!, column };
  };
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
    const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    const row = event.key === 'PageDown' ? at.row + 10 : event.key === 'PageUp' ? at.row - 10 : at.row;
    if (!by && row === at.row) return;
    event.preventDefault();
    const held = (n: number, count: number) => clamp(n, 0, count - 1);
    const next = {
      row: held(by ? at.row + by[0]! : row, rows.length),
      column: held(by ? at.column + by[1]! : at.column, columns.length),
    };
    going.current = true;
    setActive(next);
    down.scrollToIndex(next.row);
    across.scrollToIndex(next.column);
  };
  const cssOf = useMemo(() => {
    const known = new Map<string, string | null>();
    return ({ key, color }: Entry) => {
      let css = known.get(key);
      if (css === undefined) {
        css =
          color.kind === 'role'
            ? rolePaint(shown, color.role)
            : (tableColorIn(system, shown, color)?.css ?? null);
        known.set(key, css);
      }
      return css;
    };
  }, [system, shown]);
  const visible = across.getVirtualItems();
  return (
    <div
      ref={scroller}
      className="mx-5 mb-4 min-h-0 flex-1 overflow-auto rounded-md border border-hair contain-strict"
    >
      {/* biome-ignore lint/a11y/useSemanticElements: a table cannot leave out what is out of sight at both sides */}
      <div
        role="grid"
        tabIndex={-1}
        aria-label="Matrix of ratios"
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length + 1}
        onKeyDown={onKeyDown}
        onClick={press}
        onFocus={(event) => {
          const cell = cellOf(event);
          if (cell) setActive(cell);
        }}
        className="relative"
        style={{
          width: HEAD_WIDTH + across.getTotalSize(),
          height: HEAD_HEIGHT + down.getTotalSize(),
        }}
      >
        {/* biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above */}
        <div
          role="row"
          aria-rowindex={1}
          className="sticky top-0 z-20 border-b border-control bg-ground"
          style={{ height: HEAD_HEIGHT }}
        >
          {/* biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above */}
          <div
            role="columnheader"
            aria-colindex={1}
            className="sticky left-0 z-10 flex h-full items-end bg-ground px-2 pb-1 text-sm text-quiet"
            style={{ width: HEAD_WIDTH }}
          >
            in front, on →
          </div>
          {visible.map(({ index, start }) => (
            <ColumnHead
              key={columns[index]!.key}
              entry={columns[index]!}
              css={cssOf(columns[index]!)}
              index={index}
              left={start}
            />
          ))}
        </div>
        {/* The heads at the left stick as one: each by itself would be a layer that moves against all others. */}
        <div
          aria-hidden
          className="sticky left-0 z-10 border-r border-hair bg-ground"
          style={{ width: HEAD_WIDTH, height: down.getTotalSize() }}
        >
          {down.getVirtualItems().map(({ index, start }) => (
            <RowHead
              key={rows[index]!.key}
              name={rows[index]!.name}
              css={cssOf(rows[index]!)}
              top={start - HEAD_HEIGHT}
            />
          ))}
        </div>
        {down.getVirtualItems().map(({ index, start }) => (
          <MatrixRow
            key={rows[index]!.key}
            entry={rows[index]!}
            index={index}
            top={start}
            columns={columns}
            first={visible[0]?.index ?? 0}
            last={visible[visible.length - 1]?.index ?? -1}
            table={table}
            least={least}
            only={only}
            cssOf={cssOf}
            paired={paired}
            active={at.row === index ? at.column : -1}
          />
        ))}
      </div>
    </div>
  );
}

/** Whether a cell has nothing to show: a colour on itself, one that is missing, one that falls short where only others are wanted. */
const isEmptyCell = (front: Entry, back: Entry, ratio: number, only: boolean, least: number) =>
  front.key === back.key || ratio === 0 || (only && !reaches(ratio, least));

interface ColumnHeadProps {
  entry: Entry;
  css: string | null;
  index: number;
  left: number;
}

const ColumnHead = memo(function ColumnHead({ entry, css, index, left }: ColumnHeadProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above
    <div
      role="columnheader"
      aria-colindex={index + 2}
      title={entry.name}
      className="absolute bottom-0 flex flex-col gap-0.5 border-l border-hair px-1.5 pb-1"
      style={{ left, width: CELL_WIDTH, height: HEAD_HEIGHT }}
    >
      <ColorChip css={css} className="mt-1 h-4 w-full" />
      <span className="line-clamp-2 text-[11px] leading-tight [overflow-wrap:anywhere]">{entry.name}</span>
    </div>
  );
});

const RowHead = memo(function RowHead({ name, css, top }: { name: string; css: string | null; top: number }) {
  return (
    <div
      title={name}
      className="absolute inset-x-0 flex items-center gap-2 border-t border-hair px-2"
      style={{ top, height: CELL_HEIGHT }}
    >
      <ColorChip css={css} className="size-4" />
      <span className="truncate text-sm">{name}</span>
    </div>
  );
});

interface MatrixRowProps {
  entry: Entry;
  index: number;
  top: number;
  columns: readonly Entry[];
  first: number;
  last: number;
  table: Float64Array;
  least: number;
  only: boolean;
  /** The colour of an entry in the theme that is shown. */
  cssOf: (entry: Entry) => string | null;
  paired: ReadonlyMap<string, string>;
  /** The column that has the focus in this row, or −1. */
  active: number;
}

const MatrixRow = memo(function MatrixRow(props: MatrixRowProps) {
  const { entry, index, top, columns, first, last, table, least, only } = props;
  const { paired, active, cssOf } = props;
  const css = cssOf(entry);
  const drawn = useMemo(() => columns.slice(first, last + 1), [columns, first, last]);
  return (
    // biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above
    <div
      role="row"
      aria-rowindex={index + 2}
      className="absolute left-0 w-full"
      style={{ top, height: CELL_HEIGHT }}
    >
      {/* biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above */}
      <span role="rowheader" aria-colindex={1} className="sr-only">
        {entry.name}
      </span>
      {drawn.map((column, i) => {
        const place = first + i;
        const ratio = table[index * columns.length + place]!;
        const pair = paired.get(`${entry.key} ${column.key}`);
        return (
          <Cell
            key={column.key}
            row={index}
            column={place}
            front={entry.name}
            back={column.name}
            ratio={ratio}
            isEmpty={isEmptyCell(entry, column, ratio, only, least)}
            isLow={!reaches(ratio, least)}
            isPair={pair !== undefined}
            frontCss={css}
            backCss={cssOf(column)}
            isActive={active === place}
          />
        );
      })}
    </div>
  );
});

interface CellProps {
  row: number;
  column: number;
  front: string;
  back: string;
  ratio: number;
  isEmpty: boolean;
  isLow: boolean;
  isPair: boolean;
  frontCss: string | null;
  backCss: string | null;
  isActive: boolean;
}

const Cell = memo(function Cell(props: CellProps) {
  const { row, column, front, back, ratio, isEmpty, isLow, isPair, frontCss, backCss } = props;
  const { isActive } = props;
  const { bars, words } = levelOf(ratio);
  const figure = formatRatio(ratio);
  const says = isEmpty
    ? `${front} on ${back}: nothing to show`
    : `${front} on ${back}: ${figure} to 1, enough for ${words}${isPair ? ', a pair' : ''}`;
  return (
    // biome-ignore lint/a11y/useSemanticElements: as above
    <div
      role="gridcell"
      data-cell={`${row} ${column}`}
      aria-colindex={column + 2}
      aria-label={says}
      tabIndex={isActive ? 0 : -1}
      data-bars={isEmpty ? undefined : bars}
      data-veiled={backCss?.startsWith('rgb(') || undefined}
      className={clsx(
        'ratio-cell absolute inset-y-0 border-t border-l border-hair px-1 font-mono text-xs -outline-offset-2',
        !isEmpty && 'cursor-pointer hover:bg-pressed',
        isLow ? 'text-quiet' : 'font-bold',
        isPair && 'bg-pressed',
      )}
      style={
        {
          left: HEAD_WIDTH + column * CELL_WIDTH,
          width: CELL_WIDTH,
          '--front': frontCss,
          '--back': backCss,
        } as CSSProperties
      }
    >
      {isEmpty ? null : figure}
    </div>
  );
});
