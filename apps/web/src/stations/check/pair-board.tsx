import type { Readout } from '@mint-lamp/core/system/readout/readout';
import { useLongList } from '../../ui/long-list.ts';
import { useColumnsInView } from '../../ui/wide-table.ts';
import { CELL_WIDTH, NAME_WIDTH, PairRow } from './pair-row.tsx';
import { rowAt } from './use-order.ts';

interface PairBoardProps {
  readout: Readout;
  /** Places of the pairs in the document, in the order in which they are shown. */
  order: readonly number[];
  open: string | null;
}

/** All pairs; of very many, those near the window, and of very many themes too. */
export function PairBoard({ readout, order, open }: PairBoardProps) {
  const { pairs, roles } = readout.system.document;
  const idOf = (index: number) => pairs[order[index]!]!.id;
  const {
    list,
    rows: shown,
    before,
    after,
    measure,
  } = useLongList<HTMLOListElement>({
    count: order.length,
    estimate: 124,
    keyOf: idOf,
    open: open === null ? -1 : order.findIndex((place) => pairs[place]!.id === open),
  });
  const { inside, first, last } = useColumnsInView<HTMLDivElement>(readout.themes, CELL_WIDTH, NAME_WIDTH);
  const whole = last - first + 1 === readout.themes;
  return (
    <div ref={inside}>
      <ol
        ref={list}
        aria-label="Pairs, worst first"
        className={whole ? 'min-w-fit px-5 pb-5' : 'px-5 pb-5'}
        style={whole ? undefined : { width: NAME_WIDTH + readout.themes * CELL_WIDTH + 20 }}
      >
        {before > 0 && <li aria-hidden style={{ height: before }} />}
        {shown.map((index) => (
          <PairRow
            key={idOf(index)}
            ref={measure}
            index={index}
            count={order.length}
            measurements={rowAt(readout, order[index]!)}
            system={readout.system}
            roles={roles}
            first={first}
            last={last}
            open={idOf(index) === open}
          />
        ))}
        {after > 0 && <li aria-hidden style={{ height: after }} />}
      </ol>
    </div>
  );
}
