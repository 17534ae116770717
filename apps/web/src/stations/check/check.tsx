import { suggestedPairs } from '@mint-lamp/core/system/pairs/suggested-pairs';
import { useEffect, useMemo } from 'react';
import { useParams } from 'react-router';
import { newId, useEditing } from '../../store/editing.ts';
import { selected } from '../../store/interface-slice.ts';
import { useProjectDocument, useReadout } from '../../store/selectors.ts';
import { useAppDispatch } from '../../store/store.ts';
import { Button } from '../../ui/button.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { PageHeader } from '../../ui/page-header.tsx';
import { NewPair } from './new-pair.tsx';
import { PairBoard } from './pair-board.tsx';
import { failingPairs, useOrder } from './use-order.ts';

/** Each pair as real text on its real ground, in every theme side by side, worst first. */
export default function Check() {
  const { pair: open } = useParams();
  const dispatch = useAppDispatch();
  const doc = useProjectDocument();
  const readout = useReadout();
  const { edit } = useEditing();
  const { roles, pairs } = doc;
  // biome-ignore lint/correctness/useExhaustiveDependencies: names and pairs decide, and nothing else of the document
  const suggestions = useMemo(() => suggestedPairs(doc, newId), [roles, pairs]);
  const order = useOrder(readout);
  const opened = doc.pairs.find((pair) => pair.id === open);
  const foreground = opened?.foreground;
  useEffect(() => {
    if (foreground) dispatch(selected({ kind: 'role', role: foreground }));
  }, [dispatch, foreground]);
  const suggest = () =>
    edit({
      type: 'batch',
      label: `add ${suggestions.length} suggested pairs`,
      commands: suggestions.map((pair) => ({ type: 'addPair', pair }) as const),
    });
  const failing = useMemo(() => failingPairs(readout), [readout]);
  return (
    <div className="flex min-h-full flex-col">
      <PageHeader
        title="Check"
        lead={
          doc.pairs.length
            ? `${failing ? `${failing} of ${doc.pairs.length} pairs fail in some theme` : 'Every pair passes in every theme'}. Worst first; ratios are never rounded up.`
            : 'Every text on its ground, measured in every theme.'
        }
      >
        {suggestions.length > 0 && (
          <Button onClick={suggest} title="Pairs that the names of your roles suggest">
            Add {suggestions.length} suggested
          </Button>
        )}
        <NewPair />
      </PageHeader>
      {doc.pairs.length ? (
        <PairBoard readout={readout} order={order} open={open ?? null} />
      ) : (
        <EmptyState title="No pair yet">
          {doc.roles.length > 1
            ? 'A pair is a text role on a ground role, with what it must reach. Take the suggested ones, or make one yourself.'
            : 'Pairs are made of roles: name some at Assign first.'}
        </EmptyState>
      )}
    </div>
  );
}
