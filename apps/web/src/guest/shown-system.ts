import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { wordsOf } from '@mint-lamp/core/document/project/sample-words';
import { type ClientView, clientView } from '@mint-lamp/core/exchange/people/client-view';
import { resolveSystem, type System } from '@mint-lamp/core/system/resolve';
import { castOf } from '@mint-lamp/core/system/scenes/cast';
import { scenePaints } from '@mint-lamp/core/system/scenes/scene-paints';
import { type CSSProperties, useMemo, useRef } from 'react';
import { sharedPictureAddress } from '../fetching/shared-requests.ts';
import { sceneStyle } from '../scene/scene-style.ts';
import { type SceneText, sceneText } from '../scene/scene-text.ts';

/** A document as the system that it comes to; what follows from the one before is not worked out again. */
export function useSystem(document: ProjectDocument): System {
  const before = useRef<System | undefined>(undefined);
  return useMemo(() => {
    before.current = resolveSystem(document, before.current);
    return before.current;
  }, [document]);
}

/** What people are shown of a system. */
export const useClientView = (system: System, at: string, revision: number): ClientView =>
  useMemo(() => clientView(system, at, revision), [system, at, revision]);

export interface PaintedTheme {
  readonly id: string;
  readonly name: string;
  readonly style: CSSProperties;
}

/** What paints scenes in every theme, and what they say. */
export function usePaintedThemes(
  system: System,
  token: string,
): { readonly themes: readonly PaintedTheme[]; readonly text: SceneText } {
  return useMemo(() => {
    const { document } = system;
    const uses = castOf(document);
    const picture = (id: string) => {
      const found = document.pictures.find((one) => one.id === id);
      return found ? `url("${sharedPictureAddress(token, found.content)}") center / cover` : null;
    };
    const themes = [...system.themes.values()].map((theme) => ({
      id: theme.theme.id,
      name: theme.theme.name,
      style: sceneStyle(scenePaints(uses, theme, picture)),
    }));
    return { themes, text: sceneText(document.name, wordsOf(document).action, document.scenes.words) };
  }, [system, token]);
}
