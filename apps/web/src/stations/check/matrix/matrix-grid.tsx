import { formatRatio, reaches } from '@mint-lamp/core/contrast/ratio';
import { tableColorIn } from '@mint-lamp/core/system/readout/ratio-table';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve/resolve';
import { useVirtualizer } from '@tanstack/react-virtual';
import clsx from 'clsx';
import { type KeyboardEvent, memo, useEffect, useMemo, useRef, useState } from 'react';
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
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    const row = event.key === 'PageDown' ? at.row + 10 : event.key === 'PageUp' ? at.row - 10 : at.row;
    if (!by && row === at.row) return;
    event.preventDefault();
    const held = (n: number, count: number) => Math.min(count - 1, Math.max(0, n));
    const next = {
      row: held(by ? at.row + by[0]! : row, rows.length),
      column: held(by ? at.column + by[1]! : at.column, columns.length),
    };
    going.current = true;
    setActive(next);
    down.scrollToIndex(next.row);
    across.scrollToIndex(next.column);
  };
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
              css={cssOf(system, shown, columns[index]!)}
              index={index}
              left={start}
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
            system={system}
            theme={shown}
            paired={paired}
            active={at.row === index ? at.column : -1}
            onPress={onPress}
            onActive={setActive}
          />
        ))}
      </div>
    </div>
  );
}

const cssOf = (system: System, theme: ResolvedTheme, { color }: Entry) =>
  tableColorIn(system, theme, color)?.css ?? null;

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
  system: System;
  theme: ResolvedTheme;
  paired: ReadonlyMap<string, string>;
  /** The column that has the focus in this row, or −1. */
  active: number;
  onPress: (row: Entry, column: Entry) => void;
  onActive: (at: { row: number; column: number }) => void;
}

const MatrixRow = memo(function MatrixRow(props: MatrixRowProps) {
  const { entry, index, top, columns, first, last, table, least, only, system, theme } = props;
  const { paired, active, onPress, onActive } = props;
  const css = cssOf(system, theme, entry);
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
      <div
        role="rowheader"
        aria-colindex={1}
        title={entry.name}
        className="sticky left-0 z-10 flex h-full items-center gap-2 border-t border-r border-hair bg-ground px-2"
        style={{ width: HEAD_WIDTH }}
      >
        <ColorChip css={css} className="size-4" />
        <span className="truncate text-sm">{entry.name}</span>
      </div>
      {drawn.map((column, i) => {
        const place = first + i;
        const ratio = table[index * columns.length + place]!;
        const isSame = entry.key === column.key;
        const pair = paired.get(`${entry.key} ${column.key}`);
        return (
          <Cell
            key={column.key}
            row={index}
            column={place}
            front={entry}
            back={column}
            ratio={ratio}
            isEmpty={isSame || ratio === 0 || (only && !reaches(ratio, least))}
            isLow={!reaches(ratio, least)}
            isPair={pair !== undefined}
            frontCss={css}
            backCss={cssOf(system, theme, column)}
            isActive={active === place}
            onPress={onPress}
            onActive={onActive}
          />
        );
      })}
    </div>
  );
});

interface CellProps {
  row: number;
  column: number;
  front: Entry;
  back: Entry;
  ratio: number;
  isEmpty: boolean;
  isLow: boolean;
  isPair: boolean;
  frontCss: string | null;
  backCss: string | null;
  isActive: boolean;
  onPress: (row: Entry, column: Entry) => void;
  onActive: (at: { row: number; column: number }) => void;
}

const Cell = memo(function Cell(props: CellProps) {
  const { row, column, front, back, ratio, isEmpty, isLow, isPair, frontCss, backCss } = props;
  const { isActive, onPress, onActive } = props;
  const { bars, words } = levelOf(ratio);
  const figure = formatRatio(ratio);
  const isTranslucent = backCss?.startsWith('rgb(') ?? false;
  const says = isEmpty
    ? `${front.name} on ${back.name}: nothing to show`
    : `${front.name} on ${back.name}: ${figure} to 1, enough for ${words}${isPair ? ', a pair' : ''}`;
  return (
    // biome-ignore lint/a11y/useSemanticElements: as above
    <div
      role="gridcell"
      data-cell={`${row} ${column}`}
      aria-colindex={column + 2}
      aria-label={says}
      tabIndex={isActive ? 0 : -1}
      onFocus={() => onActive({ row, column })}
      onClick={() => !isEmpty && onPress(front, back)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        if (!isEmpty) onPress(front, back);
      }}
      className={clsx(
        'absolute inset-y-0 flex items-center gap-1 border-t border-l border-hair px-1 -outline-offset-2',
        !isEmpty && 'cursor-pointer hover:bg-pressed',
        isPair && 'bg-pressed',
      )}
      style={{ left: HEAD_WIDTH + column * CELL_WIDTH, width: CELL_WIDTH }}
    >
      {!isEmpty && (
        <>
          <span
            aria-hidden
            data-specimen
            className={clsx(
              'size-6 shrink-0 rounded-[4px] text-center text-[15px] leading-6 font-semibold',
              isTranslucent && 'checker',
            )}
            style={{ backgroundColor: isTranslucent ? undefined : backCss!, color: frontCss! }}
          >
            {isTranslucent ? <span style={{ display: 'block', background: backCss! }}>a</span> : 'a'}
          </span>
          <span
            aria-hidden
            data-bars={bars}
            className={clsx('ratio-bars font-mono text-xs', isLow ? 'text-quiet' : 'font-bold')}
          >
            {figure}
          </span>
        </>
      )}
    </div>
  );
});
