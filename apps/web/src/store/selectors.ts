import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { type Readout, readoutOf } from '@mint-lamp/core/system/readout';
import { type ResolvedTheme, resolveSystem, type System } from '@mint-lamp/core/system/resolve';
import type { ProjectState } from './project-slice.ts';
import { type AppState, useAppSelector } from './store.ts';

/** The open project; the frame renders stations only when there is one. */
export function selectProject(state: AppState): ProjectState {
  if (!state.project) throw new Error('No project is open.');
  return state.project;
}

export const selectDocument = (state: AppState): ProjectDocument => selectProject(state).shown;

// One system is kept: the next is worked out from it, so that a drag computes only what it moves.
let system: System | undefined;
export function selectSystem(state: AppState): System {
  system = resolveSystem(selectDocument(state), system);
  return system;
}

let readout: { of: System; is: Readout } | undefined;
export function selectReadout(state: AppState): Readout {
  const of = selectSystem(state);
  if (readout?.of !== of) readout = { of, is: readoutOf(of) };
  return readout.is;
}

/** The theme that is switched on: the chosen one, or the first when that is gone. */
export function selectTheme(state: AppState): ResolvedTheme {
  const { themes } = selectSystem(state);
  const chosen = state.interface.theme === null ? undefined : themes.get(state.interface.theme);
  const theme = chosen ?? themes.values().next().value;
  if (!theme) throw new Error('A project has at least one theme.');
  return theme;
}

export const useProjectDocument = () => useAppSelector(selectDocument);
export const useSystem = () => useAppSelector(selectSystem);
export const useReadout = () => useAppSelector(selectReadout);
export const useTheme = () => useAppSelector(selectTheme);
