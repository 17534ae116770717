import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { useLayoutEffect, useRef } from 'react';
import { scenePaint } from './scene-paint.ts';
import { Timetable } from './timetable.tsx';

/** Px of the page that is laid out. */
const WIDTH = 900;

interface UnseenSceneProps {
  theme: ResolvedTheme;
  /** Called with the scene whenever it was laid out anew; the same function while it is the same. */
  onLaidOut: (scene: HTMLElement) => void;
}

/** Lays the scene out unseen, to be measured. */
export function UnseenScene({ theme, onLaidOut }: UnseenSceneProps) {
  const scene = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: laid out anew in another theme
  useLayoutEffect(() => {
    if (scene.current) onLaidOut(scene.current);
  }, [theme, onLaidOut]);
  return (
    <div aria-hidden className="pointer-events-none fixed top-0 left-0 size-0 overflow-hidden opacity-0">
      <div ref={scene} style={{ width: WIDTH }}>
        {Timetable({ paint: scenePaint(theme) })}
      </div>
    </div>
  );
}
