import { formatRatio, reaches } from '@mint-lamp/core/contrast/ratio';
import clsx from 'clsx';
import { type CSSProperties, Fragment, memo, useMemo } from 'react';
import { ColorChip } from '../../../ui/color-chip.tsx';
import type { Entry } from './entries.ts';

/** Px of a column: at least, and at most where there is room to spare. */
export const CELL_WIDTH = 90;
export const MOST_CELL_WIDTH = 132;
export const CELL_HEIGHT = 34;
export const HEAD_WIDTH = 168;
export const HEAD_HEIGHT = 72;

/** Bars that say how far a ratio carries: three for 7, two for 4.5, one for 3; so that it is not told by colour alone. */
const LEVELS = [
  { least: 7, bars: 3, words: 'AAA body text' },
  { least: 4.5, bars: 2, words: 'AA body text' },
  { least: 3, bars: 1, words: 'large text and graphics' },
  { least: 0, bars: 0, words: 'nothing' },
] as const;
const levelOf = (ratio: number) => LEVELS.find(({ least }) => reaches(ratio, least))!;

/** Whether a cell has nothing to show: a colour on itself, one that is missing, one that falls short where only others are wanted. */
export const isEmptyCell = (front: Entry, back: Entry, ratio: number, only: boolean, least: number) =>
  front.key === back.key || ratio === 0 || (only && !reaches(ratio, least));

interface ColumnHeadProps {
  entry: Entry;
  css: string | null;
  index: number;
  left: number;
  width: number;
}

export const ColumnHead = memo(function ColumnHead({ entry, css, index, left, width }: ColumnHeadProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements lint/a11y/useFocusableInteractive: as above
    <div
      role="columnheader"
      aria-colindex={index + 2}
      title={entry.name}
      className="absolute bottom-0 flex flex-col gap-0.5 border-l border-hair px-1.5 pb-1"
      style={{ left, width, height: HEAD_HEIGHT }}
    >
      <ColorChip css={css} className="mt-1 h-4 w-full" />
      <span className="line-clamp-3 text-xs leading-tight [overflow-wrap:anywhere]">
        {entry.name.split('.').map((name, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a name is its place among the groups
          <Fragment key={i}>
            {i > 0 && (
              <>
                .<wbr />
              </>
            )}
            {name}
          </Fragment>
        ))}
      </span>
    </div>
  );
});

export const RowHead = memo(function RowHead({
  name,
  css,
  top,
}: {
  name: string;
  css: string | null;
  top: number;
}) {
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
  cellWidth: number;
}

export const MatrixRow = memo(function MatrixRow(props: MatrixRowProps) {
  const { entry, index, top, columns, first, last, table, least, only } = props;
  const { paired, active, cssOf, cellWidth } = props;
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
            width={cellWidth}
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
  width: number;
}

const Cell = memo(function Cell(props: CellProps) {
  const { row, column, front, back, ratio, isEmpty, isLow, isPair, frontCss, backCss } = props;
  const { isActive, width } = props;
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
        'ratio-cell absolute inset-y-0 border-t border-l border-hair px-1 font-mono text-sm -outline-offset-2',
        !isEmpty && 'cursor-pointer hover:bg-pressed',
        isLow ? 'text-quiet' : 'font-bold',
        isPair && 'bg-pressed',
      )}
      style={
        {
          left: HEAD_WIDTH + column * width,
          width,
          '--front': frontCss,
          '--back': backCss,
        } as CSSProperties
      }
    >
      {isEmpty ? null : figure}
    </div>
  );
});
