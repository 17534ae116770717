import { wordsOf } from '@mint-lamp/core/document/project/sample-words';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { type CastUses, castOf } from '@mint-lamp/core/system/scenes/cast';
import { type ScenePaints, scenePaints } from '@mint-lamp/core/system/scenes/scene-paints';
import { createSelector } from '@reduxjs/toolkit';
import type { CSSProperties } from 'react';
import { pictureAddress } from '../fetching/send-picture.ts';
import { selectDocument, selectProject } from '../store/selectors.ts';
import { type AppState, useAppSelector } from '../store/store.ts';
import { sceneStyle } from './scene-style.ts';
import { sceneText } from './scene-text.ts';

/** What paints every use of scenes in the open project. */
const selectCast = createSelector(
  [
    (state: AppState) => selectDocument(state).roles,
    (state: AppState) => selectDocument(state).pairs,
    (state: AppState) => selectDocument(state).ground,
    (state: AppState) => selectDocument(state).gradients,
    (state: AppState) => selectDocument(state).pictures,
    (state: AppState) => selectDocument(state).scenes,
  ],
  (roles, pairs, ground, gradients, pictures, scenes): CastUses =>
    castOf({ roles, pairs, ground, gradients, pictures, scenes }),
);
export const useCast = () => useAppSelector(selectCast);

const selectSceneText = createSelector(
  [
    (state: AppState) => selectDocument(state).name,
    (state: AppState) => selectDocument(state).words,
    (state: AppState) => selectDocument(state).scenes.words,
  ],
  (name, words, own) => sceneText(name, wordsOf({ name, words }).action, own),
);
export const useSceneText = () => useAppSelector(selectSceneText);

interface Painted {
  readonly uses: CastUses;
  readonly hero: string | null;
  readonly paints: ScenePaints;
  readonly style: CSSProperties;
}

// A theme never changes, only its successor does.
const known = new WeakMap<ResolvedTheme, Painted>();

/** The picture that the hero shows, as CSS of a background; null where it shows none. */
const selectHeroPicture = createSelector(
  [
    selectCast,
    (state: AppState) => selectDocument(state).pictures,
    (state: AppState) => selectProject(state).id,
  ],
  (uses, pictures, project) => {
    const link = uses.get('hero')?.link;
    const picture = link?.to === 'picture' && pictures.find(({ id }) => id === link.picture);
    return picture ? `url("${pictureAddress(project, picture.content, false)}") center / cover` : null;
  },
);

/** What scenes are painted with in a theme, and as the style of their roots; the same objects while that is the same. */
export function useScenePaints(theme: ResolvedTheme): Painted {
  return paintedIn(theme, useAppSelector(selectCast), useAppSelector(selectHeroPicture));
}

/** The same in several themes. */
export function useScenesPaints(themes: readonly ResolvedTheme[]): readonly Painted[] {
  const uses = useAppSelector(selectCast);
  const hero = useAppSelector(selectHeroPicture);
  return themes.map((theme) => paintedIn(theme, uses, hero));
}

function paintedIn(theme: ResolvedTheme, uses: CastUses, hero: string | null): Painted {
  let painted = known.get(theme);
  if (painted?.uses !== uses || painted.hero !== hero) {
    const paints = scenePaints(uses, theme, () => hero);
    painted = { uses, hero, paints, style: sceneStyle(paints) };
    known.set(theme, painted);
  }
  return painted;
}
