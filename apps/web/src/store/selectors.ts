import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { wordsOf } from '@mint-lamp/core/document/project/sample-words';
import type { Readout } from '@mint-lamp/core/judged/readout/readout';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { useMemo } from 'react';
import type { ProjectState } from './project-slice.ts';
import { type AppState, useAppSelector } from './store.ts';
import { readoutOfDocument, systemOf } from './systems.ts';

/** The open project; the frame renders stations only when there is one. */
export function selectProject(state: AppState): ProjectState {
  if (!state.project) throw new Error('No project is open.');
  return state.project;
}

export const selectDocument = (state: AppState): ProjectDocument => selectProject(state).shown;
export const selectSystem = (state: AppState): System => systemOf(selectDocument(state));
export const selectReadout = (state: AppState): Readout => readoutOfDocument(selectDocument(state));

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
export const useProjectId = () => useAppSelector((state) => selectProject(state).id);
/** What samples say; see {@link wordsOf}. */
export function useSampleWords() {
  const name = useDocumentPart('name');
  const words = useDocumentPart('words');
  return useMemo(() => wordsOf({ name, words }), [name, words]);
}
/** One part of the document; a component that needs no more is not drawn again when another part changes. */
export const useDocumentPart = <K extends keyof ProjectDocument>(part: K): ProjectDocument[K] =>
  useAppSelector((state) => selectDocument(state)[part]);
