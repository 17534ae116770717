import { grownOf } from '@mint-lamp/core/edits/families/family-edits';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { useSettled } from '../../../store/use-settled.ts';
import { part } from '../../../ui/part.tsx';
import { curvesOf } from './curves-of.ts';

const CurveCharts = part(() => import('./curve-charts.tsx'));

/**
 * How lightness, chroma and hue run over the steps of a growth, as it is and as it was before: when the family was
 * opened or, while a point is dragged, before the drag.
 */
export function Curves({ resolved }: { resolved: ResolvedFamily }) {
  const [held, setHeld] = useState(false);
  const settled = useSettled(resolved);
  // At once while a point is held; what is changed elsewhere is drawn there first.
  const later = useDeferredValue(held ? resolved : settled);
  const shown = held ? resolved : later;
  const [opened] = useState(() => curvesOf(grownOf(settled)));
  const now = useMemo(() => curvesOf(grownOf(shown)), [shown]);
  const confirmed = useMemo(() => curvesOf(grownOf(settled)), [settled]);
  const onHold = useCallback((is: boolean) => setHeld(is), []);
  return (
    <div className="mt-3 min-h-[150px] border-t border-hair pt-2">
      <CurveCharts family={resolved.family.id} now={now} before={held ? confirmed : opened} onHold={onHold} />
    </div>
  );
}
