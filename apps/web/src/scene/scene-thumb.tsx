import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import { type ComponentType, memo } from 'react';
import type { Echoes } from './echoes.ts';
import { SceneEcho } from './scene-root.tsx';
import type { SceneText } from './scene-text.ts';
import { SceneView } from './scene-view.tsx';
import { Landing } from './scenes/landing.tsx';
import { Small } from './small.tsx';
import { useScenePaints } from './use-scene.ts';

interface SmallSceneProps {
  theme: ResolvedTheme;
  width: number;
  height: number;
  /** Px for which it is laid out before it is made small. */
  page?: number;
}

interface SceneThumbProps extends SmallSceneProps {
  /** The scene; the landing page where none is said. */
  Draw?: ComponentType<{ text: SceneText }>;
  /** Where the same scene is shown in other themes. */
  echoes?: Echoes;
}

/** A scene in a theme, small: to see a system as a page at a glance. For sighted eyes. */
export const SceneThumb = memo(function SceneThumb({
  theme,
  width,
  height,
  Draw = Landing,
  page = 900,
  echoes,
}: SceneThumbProps) {
  return (
    <Small width={width} height={height} page={page}>
      <SceneView Draw={Draw} theme={theme} root={echoes?.from} />
    </Small>
  );
});

/** What a thumb draws, small, in another theme. */
export const ThumbEcho = memo(function ThumbEcho({
  theme,
  width,
  height,
  page = 900,
  echoes,
}: SmallSceneProps & { echoes: Echoes }) {
  const { style } = useScenePaints(theme);
  return (
    <Small width={width} height={height} page={page}>
      <SceneEcho style={style} echoes={echoes} />
    </Small>
  );
});
