import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { ComponentType } from 'react';
import { SceneRoot } from './scene-root.tsx';
import type { SceneText } from './scene-text.ts';
import { useScenePaints, useSceneText } from './use-scene.ts';

interface SceneViewProps {
  Draw: ComponentType<{ text: SceneText }>;
  theme: ResolvedTheme;
  states?: boolean;
}

/** A scene of the open project, in a theme. */
export function SceneView({ Draw, theme, states = false }: SceneViewProps) {
  const { style } = useScenePaints(theme);
  return <SceneRoot Draw={Draw} text={useSceneText()} style={style} states={states} />;
}
