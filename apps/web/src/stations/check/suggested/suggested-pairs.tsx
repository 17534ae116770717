import { sameJson } from '@mint-lamp/core/document/same';
import { suggestions, type TextPlace } from '@mint-lamp/core/judged/pairs/suggested-pairs';
import { useCallback, useMemo, useState } from 'react';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectProject, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { useResting } from '../../../ui/use-resting.ts';

const ScenePlaces = part(() => import('../../../scene/scene-places.tsx'));
const SuggestedPanel = part(() => import('./suggested-panel.tsx'));

/** Pairs that names suggest and scenes show: all made at once, or seen one by one. */
export function SuggestedPairs() {
  // Names and pairs decide, which nothing that is dragged changes.
  const doc = useAppSelector((state) => selectProject(state).document);
  // Laid out once colours rest: what stands on what does not change with them.
  const theme = useResting(useTheme());
  const { edit } = useEditing();
  const { roles, pairs, declined } = doc;
  const [uses, setUses] = useState<readonly TextPlace[]>([]);
  // The same uses stay the same object, so that suggestions keep their ids while colours move.
  const found = useCallback(
    (next: readonly TextPlace[]) => setUses((old) => (sameJson(old, next) ? old : next)),
    [],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: names, pairs and scenes decide, and nothing else of the document
  const list = useMemo(() => suggestions(doc, uses, newId), [roles, pairs, declined, uses]);
  const add = () =>
    edit({
      type: 'batch',
      label: `add ${list.length} suggested pairs`,
      commands: list.map(({ pair }) => ({ type: 'addPair', pair }) as const),
    });
  return (
    <>
      <ScenePlaces theme={theme} onFound={found} />
      {list.length > 0 && (
        <Button onClick={add} title="Pairs that names suggest, and that pages on the Stage show">
          Add {list.length} suggested
        </Button>
      )}
      {(list.length > 0 || declined.length > 0) && (
        <Popover
          label="Suggested pairs, one by one"
          align="end"
          trigger={<Button>{list.length ? 'See them …' : `Declined ${declined.length} …`}</Button>}
        >
          <SuggestedPanel suggestions={list} />
        </Popover>
      )}
    </>
  );
}
