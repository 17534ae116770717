import { groundName } from '@mint-lamp/core/document/naming/pair-name';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { sampleOf } from '@mint-lamp/core/judged/pairs/sample';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import { type Ref, useCallback } from 'react';
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
  const { roles, pairs } = document;
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
            <PairRow
              key={row.key}
              ref={measure}
              index={index}
              count={rows.length}
              measurements={rowAt(readout, row.place, count === 1 ? theme : null)}
              was={was && rowAt(was, row.place, count === 1 ? theme : null)}
              system={readout.system}
              text={roleNameIn(roles, pairs[row.place]!.foreground)}
              ground={groundName(document, pairs[row.place]!)}
              words={sampleOf(document, pairs[row.place]!)}
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
