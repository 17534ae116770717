import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { memo } from 'react';
import { scenePaint } from './scene-paint.ts';
import { Timetable } from './timetable.tsx';

/** Px for which the page is laid out before it is made small. */
const PAGE = 900;

interface SceneThumbProps {
  theme: ResolvedTheme;
  width: number;
  height: number;
}

/** The timetable page in a theme, small: to see a system as a page at a glance. For sighted eyes. */
export const SceneThumb = memo(function SceneThumb({ theme, width, height }: SceneThumbProps) {
  const scale = width / PAGE;
  return (
    <div
      aria-hidden
      data-specimen
      className="overflow-hidden rounded-md border border-hair contain-strict"
      style={{ width, height }}
    >
      <div
        className="pointer-events-none origin-top-left"
        style={{ width: PAGE, height: height / scale, transform: `scale(${scale})` }}
      >
        {Timetable({ paint: scenePaint(theme) })}
      </div>
    </div>
  );
});
