import { grownOf } from '@mint-lamp/core/edits/families/family-edits';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { weakMapMemoize } from '@reduxjs/toolkit';
import { useDeferredValue } from 'react';
import { selectSettledSystem, selectSystem } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { type CurveStep, curvesOf } from './curves-of.ts';

const NONE: readonly CurveStep[] = [];
const remembered = weakMapMemoize((family: ResolvedFamily): readonly CurveStep[] =>
  curvesOf(grownOf(family)),
);

/** The steps of a family's growth; of one that is gone there are none. */
export const stepsOf = (family: ResolvedFamily | undefined): readonly CurveStep[] =>
  family ? remembered(family) : NONE;

/** The steps of a family's growth: at once while a point is held; what is changed elsewhere is drawn there first. */
export function useSteps(family: string, held: boolean): readonly CurveStep[] {
  const now = useAppSelector((state) =>
    (held ? selectSystem : selectSettledSystem)(state).families.get(family),
  );
  const later = useDeferredValue(now);
  return stepsOf(held ? now : later);
}
