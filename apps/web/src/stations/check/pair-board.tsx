import type { Measurement } from '@mint-lamp/core/system/measure';
import { useLongList } from '../../ui/long-list.ts';
import { PairRow } from './pair-row.tsx';

interface PairBoardProps {
  /** Each row a pair, measured in every theme. */
  rows: readonly (readonly Measurement[])[];
  open: string | null;
}

/** All pairs; of very many, those near the window. */
export function PairBoard({ rows, open }: PairBoardProps) {
  const idOf = (index: number) => rows[index]![0]!.pair.id;
  const {
    list,
    rows: shown,
    before,
    after,
    measure,
  } = useLongList<HTMLOListElement>({
    count: rows.length,
    estimate: 124,
    keyOf: idOf,
    open: rows.findIndex(([first]) => first!.pair.id === open),
  });
  return (
    <ol ref={list} aria-label="Pairs, worst first" className="min-w-fit px-5 pb-5">
      {before > 0 && <li aria-hidden style={{ height: before }} />}
      {shown.map((index) => (
        <PairRow
          key={idOf(index)}
          ref={measure}
          index={index}
          count={rows.length}
          measurements={rows[index]!}
          open={idOf(index) === open}
        />
      ))}
      {after > 0 && <li aria-hidden style={{ height: after }} />}
    </ol>
  );
}
