import { useCallback } from 'react';
import { type StageView, stageViewed } from '../../store/interface-slice.ts';
import { useSystem, useTheme } from '../../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';

/** How scenes are looked at, and the way to look otherwise. */
export function useStageView(): readonly [StageView, (change: Partial<StageView>) => void] {
  const dispatch = useAppDispatch();
  const view = useAppSelector((state) => state.interface.stage);
  const change = useCallback((next: Partial<StageView>) => dispatch(stageViewed(next)), [dispatch]);
  return [view, change];
}

/** The themes that are seen: all side by side, or the one that is switched on. */
export function useSeenThemes() {
  const { themes } = useSystem();
  const theme = useTheme();
  const [{ themes: seen }] = useStageView();
  return seen === 'all' ? [...themes.values()] : [theme];
}
