import { useEffect, useMemo, useRef, useState } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { REPAIR_ALL } from '../../addresses.ts';
import { selected } from '../../store/interface-slice.ts';
import { useProjectDocument, useReadout } from '../../store/selectors.ts';
import { useAppDispatch } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { type BoardFilter, boardRows, EVERYTHING, failsIn, isOfKind } from './board/board-filter.ts';
import { FilterBar } from './board/filter-bar.tsx';
import { NewPair } from './board/new-pair.tsx';
import { PairBoard } from './board/pair-board.tsx';
import { failingPairs, useOrder } from './board/use-order.ts';
import { CheckHeader } from './check-header.tsx';
import { RepairBar } from './repair/repair-bar.tsx';
import { useRepairAll } from './repair/use-repair-all.ts';
import { SuggestedPairs } from './suggested/suggested-pairs.tsx';

/** Each pair as real text on its real ground, in every theme side by side, worst first. */
export default function Check() {
  const { pair: open } = useParams();
  const dispatch = useAppDispatch();
  const doc = useProjectDocument();
  const readout = useReadout();
  const { roles, pairs } = doc;
  const order = useOrder(readout);
  const opened = doc.pairs.find((pair) => pair.id === open);
  const foreground = opened?.foreground;
  useEffect(() => {
    if (foreground) dispatch(selected({ kind: 'role', role: foreground }));
  }, [dispatch, foreground]);
  const failing = useMemo(() => failingPairs(readout), [readout]);
  const { proposed, ask } = useRepairAll();
  const { state, pathname } = useLocation();
  const navigate = useNavigate();
  const asked = (state as typeof REPAIR_ALL | null)?.repair === REPAIR_ALL.repair;
  useEffect(() => {
    if (!asked) return;
    // Once: going back and forth does not ask again.
    navigate(pathname, { replace: true, state: null });
    ask();
  }, [asked, ask, navigate, pathname]);
  const [filter, setFilter] = useState<BoardFilter>(EVERYTHING);
  const latest = useRef(readout);
  latest.current = readout;
  // What is mended stays where it is until something else is asked for, as in the order.
  const rows = useMemo(() => {
    const groups = new Map(roles.map(({ id, group }) => [id, group[0] ?? '']));
    const kept = order.filter((place) => {
      if (!isOfKind(pairs[place]!, filter, (role) => groups.get(role) ?? '')) return false;
      return !filter.failing || failsIn(latest.current, place, filter.theme);
    });
    return boardRows(kept, pairs, roles, filter.byGround);
  }, [order, pairs, roles, filter]);
  const shown = rows.reduce((n, { kind }) => n + (kind === 'pair' ? 1 : 0), 0);
  return (
    <div className="flex min-h-full flex-col">
      <CheckHeader
        view="board"
        lead={
          doc.pairs.length
            ? `${failing ? `${failing} of ${doc.pairs.length} pairs fail in some theme` : 'Every pair passes in every theme'}. Worst first; ratios are never rounded up.`
            : 'Every text on its ground, measured in every theme.'
        }
      >
        {failing > 0 && !proposed && (
          <Button
            data-next
            onClick={ask}
            title="Finds links that make failing pairs pass; you see them before you apply them"
          >
            Repair all …
          </Button>
        )}
        <SuggestedPairs />
        <NewPair />
      </CheckHeader>
      {doc.pairs.length ? (
        <>
          {proposed && <RepairBar proposed={proposed} />}
          <FilterBar filter={filter} shown={shown} all={pairs.length} onChange={setFilter} />
          {shown ? (
            <PairBoard
              readout={readout}
              before={proposed?.repairs.length ? proposed.before : null}
              rows={rows}
              theme={filter.theme}
              open={open ?? null}
              label={filter.byGround ? 'Pairs by ground' : 'Pairs, worst first'}
            />
          ) : (
            <EmptyState title={filter.failing ? 'None of these fails' : 'No pair matches'}>
              None of your pairs match these filters. Change them above, or show all.
            </EmptyState>
          )}
        </>
      ) : (
        <EmptyState title="No pair yet">
          {doc.roles.length > 1
            ? 'A pair is a text role on a ground role, with the contrast it needs. Add the suggested ones, or make your own.'
            : 'Pairs are made of roles: name some at Assign first.'}
        </EmptyState>
      )}
    </div>
  );
}
