import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { type ComponentType, memo } from 'react';
import type { SceneText } from './scene-text.ts';
import { SceneView } from './scene-view.tsx';
import { Landing } from './scenes/landing.tsx';
import { Small } from './small.tsx';

interface SceneThumbProps {
  theme: ResolvedTheme;
  width: number;
  height: number;
  /** The scene; the landing page where none is said. */
  Draw?: ComponentType<{ text: SceneText }>;
  /** Px for which it is laid out before it is made small. */
  page?: number;
}

/** A scene in a theme, small: to see a system as a page at a glance. For sighted eyes. */
export const SceneThumb = memo(function SceneThumb({
  theme,
  width,
  height,
  Draw = Landing,
  page = 900,
}: SceneThumbProps) {
  return (
    <Small width={width} height={height} page={page}>
      <SceneView Draw={Draw} theme={theme} />
    </Small>
  );
});
