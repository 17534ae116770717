import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useLayoutEffect, useRef } from 'react';
import { SceneView } from './scene-view.tsx';
import { SCENES, type SceneId } from './scenes.ts';

interface UnseenScenesProps {
  theme: ResolvedTheme;
  scenes: readonly SceneId[];
  /** CSS px for which they are laid out; null for their own. */
  width?: number | null;
  /** Says when they were laid out otherwise; left out, with every other theme. */
  layout?: string;
  /** Called with the roots of the scenes whenever they were laid out anew; the same function while it is the same. */
  onLaidOut: (scenes: readonly HTMLElement[]) => void;
}

/** Lays scenes out unseen, to be measured. */
export function UnseenScenes({ theme, scenes, width = null, layout, onLaidOut }: UnseenScenesProps) {
  const all = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: laid out anew with what is said to lay it out
  useLayoutEffect(() => {
    const scenes = [...(all.current?.querySelectorAll<HTMLElement>('.scene') ?? [])];
    // It tells their size at once, and again when one is another: a part of it came later, a font, a chart.
    const observer = new ResizeObserver(() => onLaidOut(scenes));
    for (const scene of scenes) observer.observe(scene);
    return () => observer.disconnect();
  }, [layout ?? theme, onLaidOut]);
  return (
    <div
      ref={all}
      aria-hidden
      className="pointer-events-none fixed top-0 left-0 size-0 overflow-hidden opacity-0"
    >
      {SCENES.filter(({ id }) => scenes.includes(id)).map(({ id, Draw, width: own }) => (
        <div key={id} style={{ width: width ?? own }}>
          <SceneView Draw={Draw} theme={theme} />
        </div>
      ))}
    </div>
  );
}
