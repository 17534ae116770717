import type { TextPlace } from '@mint-lamp/core/judged/pairs/suggested-pairs';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useCallback } from 'react';
import { textPlaces } from './text-places.ts';
import { UnseenScenes } from './unseen-scenes.tsx';
import { useCast } from './use-scene.ts';

/** What most pages show: a hero, a list with notices, a form, a table's and a board's texts stand as these do. */
const LOOKED_AT = ['landing', 'timetable', 'notices', 'read'] as const;

interface ScenePlacesProps {
  theme: ResolvedTheme;
  onFound: (places: readonly TextPlace[]) => void;
}

/** Tells where scenes put texts. */
export default function ScenePlaces({ theme, onFound }: ScenePlacesProps) {
  const uses = useCast();
  const look = useCallback(
    (scenes: readonly HTMLElement[]) => onFound(textPlaces(scenes, uses, theme)),
    [uses, theme, onFound],
  );
  return <UnseenScenes theme={theme} scenes={LOOKED_AT} onLaidOut={look} />;
}
