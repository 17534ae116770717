import { groundName } from '@mint-lamp/core/document/naming/pair-name';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { sampleOf } from '@mint-lamp/core/judged/pairs/sample';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import { type ComponentProps, type Ref, useCallback } from 'react';
import { inTurns } from '../../../store/in-turns.tsx';
import { useReadout } from '../../../store/selectors.ts';
import { useLongList } from '../../../ui/long-list.ts';
import { useColumnsInView } from '../../../ui/wide-table.ts';
import { useOffersAhead } from '../repair/use-offers-ahead.ts';
import type { BoardRow } from './board-filter.ts';
import { CELL_WIDTH, NAME_WIDTH, PairRow } from './pair-row.tsx';
import { rowAt } from './use-order.ts';

/** Rows after those that are drawn whose repairs are worked out ahead. */
const ROWS_AHEAD = 24;

interface PairBoardProps {
  readout: Readout;
  /** How it was before what is proposed; null where nothing is. */
  before: Readout | null;
  rows: readonly BoardRow[];
  /** The one theme that is shown; null for all. */
  theme: string | null;
  open: string | null;
  label: string;
}

/** Pairs; of very many, those near the window, and of very many themes too. */
export function PairBoard({ readout, before: was, rows, theme, open, label }: PairBoardProps) {
  const { document } = readout.system;
  const { roles } = document;
  const {
    list,
    rows: shown,
    before,
    after,
    measure,
  } = useLongList<HTMLOListElement>({
    count: rows.length,
    estimate: 124,
    keyOf: (index) => rows[index]!.key,
    open: open === null ? -1 : rows.findIndex(({ key }) => key === open),
  });
  const count = theme !== null && readout.measured.has(theme) ? 1 : readout.themes;
  const { inside, first, last } = useColumnsInView<HTMLDivElement>(count, CELL_WIDTH, NAME_WIDTH);
  const whole = last - first + 1 === count;
  const below = (shown.at(-1) ?? -1) + 1;
  const ahead = useCallback(
    () =>
      rows
        .slice(below, below + ROWS_AHEAD)
        .flatMap((row) =>
          row.kind === 'ground'
            ? []
            : rowAt(readout, row.place, count === 1 ? theme : null).slice(first, last + 1),
        ),
    [readout, rows, below, count, theme, first, last],
  );
  useOffersAhead(readout, ahead);
  return (
    <div ref={inside}>
      <ol
        ref={list}
        aria-label={label}
        className={whole ? 'min-w-fit px-5 pb-5' : 'px-5 pb-5'}
        style={whole ? undefined : { width: NAME_WIDTH + count * CELL_WIDTH + 20 }}
      >
        {before > 0 && <li aria-hidden style={{ height: before }} />}
        {shown.map((index) => {
          const row = rows[index]!;
          return row.kind === 'ground' ? (
            <GroundHeading
              key={row.key}
              ref={measure}
              index={index}
              name={roleNameIn(roles, row.role)}
              count={row.count}
            />
          ) : (
            <RowInTurn
              key={row.key}
              ref={measure}
              index={index}
              count={rows.length}
              place={row.place}
              before={was}
              theme={count === 1 ? theme : null}
              first={first}
              last={last}
              open={row.key === open}
            />
          );
        })}
        {after > 0 && <li aria-hidden style={{ height: after }} />}
      </ol>
    </div>
  );
}

interface RowInTurnProps
  extends Pick<
    ComponentProps<typeof PairRow>,
    'first' | 'last' | 'open' | 'index' | 'count' | 'place' | 'ref'
  > {
  /** How all was before what is proposed; null where nothing is. */
  before: Readout | null;
  /** The one theme that is shown; null for all. */
  theme: string | null;
}

/** While an end of a pair is dragged, each row is drawn in its turn. */
const RowInTurn = inTurns(function RowInTurn({ before, theme, ...row }: RowInTurnProps) {
  const readout = useReadout();
  const { document } = readout.system;
  const pair = document.pairs[row.place];
  if (!pair) return null;
  return (
    <PairRow
      {...row}
      measurements={rowAt(readout, row.place, theme)}
      was={before && rowAt(before, row.place, theme)}
      system={readout.system}
      text={roleNameIn(document.roles, pair.foreground)}
      ground={groundName(document, pair)}
      words={sampleOf(document, pair)}
    />
  );
});

interface GroundHeadingProps {
  ref: Ref<HTMLLIElement> | undefined;
  index: number;
  name: string;
  count: number;
}

const GroundHeading = ({ ref, index, name, count }: GroundHeadingProps) => (
  <li ref={ref} data-index={index} className="border-t border-hair pt-4 pb-1">
    <h2 className="sticky left-0 w-fit font-title font-semibold">
      on {name} <span className="text-sm font-normal text-quiet">{count}</span>
    </h2>
  </li>
);
