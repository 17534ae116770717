import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { wordsOf } from '@mint-lamp/core/document/project/sample-words';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { type ResolvedTheme, resolveSystem, type System } from '@mint-lamp/core/system/resolve';
import { createSelector } from '@reduxjs/toolkit';
import { fromLast } from './from-last.ts';
import type { ProjectState } from './project-slice.ts';
import { readoutFor } from './readouts.ts';
import { type AppState, useAppSelector } from './store.ts';

/** The open project; the frame renders stations only when there is one. */
export function selectProject(state: AppState): ProjectState {
  if (!state.project) throw new Error('No project is open.');
  return state.project;
}

export const selectDocument = (state: AppState): ProjectDocument => selectProject(state).shown;
/** The document as it is without the gesture that is under way. */
export const selectSettledDocument = (state: AppState): ProjectDocument => selectProject(state).document;

export const selectRegions = (state: AppState) => state.underTexts.regions;
const selectLayers = (state: AppState) => state.underTexts.layers;

const systemOf = fromLast((last: System | undefined, document: ProjectDocument, regions: Regions) =>
  resolveSystem(document, last, regions),
);
export const selectSystem = createSelector([selectDocument, selectRegions], systemOf);
export const selectSettledSystem = createSelector([selectSettledDocument, selectRegions], systemOf);
export const selectReadout = createSelector([selectSystem, selectLayers], readoutFor);
export const selectSettledReadout = createSelector([selectSettledSystem, selectLayers], readoutFor);

/** The theme that is switched on: the chosen one, or the first when that is gone. */
export const selectTheme = createSelector(
  [selectSystem, (state: AppState) => state.interface.theme],
  ({ themes }, chosen): ResolvedTheme => {
    const theme = (chosen === null ? undefined : themes.get(chosen)) ?? themes.values().next().value;
    if (!theme) throw new Error('A project has at least one theme.');
    return theme;
  },
);

export const useProjectDocument = () => useAppSelector(selectDocument);
export const useSystem = () => useAppSelector(selectSystem);
/** The system without the gesture that is under way. */
export const useSettledSystem = () => useAppSelector(selectSettledSystem);
export const useReadout = () => useAppSelector(selectReadout);
export const useTheme = () => useAppSelector(selectTheme);
export const useProjectId = () => useAppSelector((state) => selectProject(state).id);
export const useLayers = () => useAppSelector(selectLayers);
export const useRegions = () => useAppSelector(selectRegions);

const selectSampleWords = createSelector(
  [(state: AppState) => selectDocument(state).name, (state: AppState) => selectDocument(state).words],
  (name, words) => wordsOf({ name, words }),
);
/** What samples say; see {@link wordsOf}. */
export const useSampleWords = () => useAppSelector(selectSampleWords);
/** One part of the document; a component that needs no more is not drawn again when another part changes. */
export const useDocumentPart = <K extends keyof ProjectDocument>(part: K): ProjectDocument[K] =>
  useAppSelector((state) => selectDocument(state)[part]);
