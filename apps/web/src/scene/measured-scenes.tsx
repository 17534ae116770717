import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useCallback, useEffect, useRef } from 'react';
import { inTurns } from '../ui/turns.ts';
import type { PaintedAreas } from './area-shares.ts';
import { paintedAreas } from './painted-areas.ts';
import type { SceneId } from './scenes.ts';
import { UnseenScenes } from './unseen-scenes.tsx';
import { useScenePaints, useSceneText } from './use-scene.ts';

/** ms of a turn of measuring. */
const TURN_MS = 8;

interface MeasuredScenesProps {
  theme: ResolvedTheme;
  scenes: readonly SceneId[];
  /** CSS px for which they are laid out; their own where it is left out. */
  width?: number | null;
  /** Told in the order of the scenes; the same function while it is the same. */
  onMeasured: (areas: readonly PaintedAreas[]) => void;
}

/**
 * Lays scenes out unseen, and tells what each use covers of them, once that is counted: anew when they are laid out
 * otherwise or something else is painted, and not when a colour changes.
 */
export function MeasuredScenes({ theme, scenes, width = null, onMeasured }: MeasuredScenesProps) {
  const { paints } = useScenePaints(theme);
  const text = useSceneText();
  const run = useRef(0);
  const painted = Object.keys(paints).sort().join(' ');
  const measure = useCallback(
    async (roots: readonly HTMLElement[]) => {
      const mine = ++run.current;
      const isPainted = new Set(painted.split(' '));
      await document.fonts.ready;
      const areas: PaintedAreas[] = [];
      for (const root of roots) {
        const parts = paintedAreas(root, (use: SceneUse) => isPainted.has(use));
        areas.push(await inTurns(parts, TURN_MS));
        if (mine !== run.current) return;
      }
      onMeasured(areas);
    },
    [painted, onMeasured],
  );
  useEffect(
    () => () => {
      run.current++;
    },
    [],
  );
  return (
    <UnseenScenes
      theme={theme}
      scenes={scenes}
      width={width}
      layout={`${scenes.join(' ')} ${width} ${JSON.stringify(text)}`}
      onLaidOut={measure}
    />
  );
}
