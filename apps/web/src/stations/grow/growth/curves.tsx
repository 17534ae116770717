import { useCallback, useState } from 'react';
import { useSettledSystem } from '../../../store/selectors.ts';
import { part } from '../../../ui/part.tsx';
import { stepsOf } from './use-steps.ts';

const CurveCharts = part(() => import('./curve-charts.tsx'));

/**
 * How lightness, chroma and hue run over the steps of a growth, as it is and as it was before: when the family was
 * opened or, while a point is dragged, before the drag.
 */
export function Curves({ family }: { family: string }) {
  const [held, setHeld] = useState(false);
  const settled = useSettledSystem().families.get(family);
  const [opened] = useState(() => stepsOf(settled));
  const onHold = useCallback((is: boolean) => setHeld(is), []);
  return (
    <div className="mt-3 min-h-[150px] border-t border-hair pt-2">
      <CurveCharts family={family} held={held} before={held ? stepsOf(settled) : opened} onHold={onHold} />
    </div>
  );
}
