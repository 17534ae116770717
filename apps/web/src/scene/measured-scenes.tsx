import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useCallback, useEffect, useRef } from 'react';
import { inTurns } from '../ui/turns.ts';
import { type AreaShares, areaShares } from './area-shares.ts';
import { type PaintedAreas, paintedAreas } from './painted-areas.ts';
import type { SceneId } from './scenes.ts';
import { UnseenScenes } from './unseen-scenes.tsx';
import { useScenePaints } from './use-scene.ts';

/** ms of a turn of measuring. */
const TURN_MS = 12;

interface MeasuredScenesProps {
  theme: ResolvedTheme;
  scenes: readonly SceneId[];
  /** The same function while it is the same. */
  onMeasured: (shares: AreaShares) => void;
}

/** Lays scenes out unseen, and tells what roles and families cover of them, once that is counted. */
export function MeasuredScenes({ theme, scenes, onMeasured }: MeasuredScenesProps) {
  const { uses, paints } = useScenePaints(theme);
  const run = useRef(0);
  const measure = useCallback(
    async (roots: readonly HTMLElement[]) => {
      const mine = ++run.current;
      await document.fonts.ready;
      const areas: PaintedAreas[] = [];
      for (const root of roots) {
        const area = await inTurns(
          paintedAreas(root, (use) => paints[use] !== undefined),
          TURN_MS,
        );
        if (mine !== run.current) return;
        areas.push(area);
      }
      onMeasured(areaShares(areas, uses, theme));
    },
    [uses, paints, theme, onMeasured],
  );
  useEffect(
    () => () => {
      run.current++;
    },
    [],
  );
  return <UnseenScenes theme={theme} scenes={scenes} onLaidOut={measure} />;
}
