import { createSelector } from '@reduxjs/toolkit';
import { selectSystem, selectTheme } from '../store/selectors.ts';
import { type AppState, useAppSelector } from '../store/store.ts';
import { litColor } from './lit.ts';

const selectLit = createSelector(
  [selectSystem, selectTheme, (state: AppState) => state.interface.selection],
  litColor,
);

/** What the lamp shows of what is selected; null when that is gone, or nothing is selected. */
export const useLit = () => useAppSelector(selectLit);
