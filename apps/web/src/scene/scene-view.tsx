import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { ComponentType, Ref } from 'react';
import { SceneRoot } from './scene-root.tsx';
import type { SceneText } from './scene-text.ts';
import { useScenePaints, useSceneText } from './use-scene.ts';

interface SceneViewProps {
  Draw: ComponentType<{ text: SceneText }>;
  theme: ResolvedTheme;
  states?: boolean;
  root?: Ref<HTMLDivElement> | undefined;
}

/** A scene of the open project, in a theme. */
export function SceneView({ Draw, theme, states = false, root }: SceneViewProps) {
  const { style } = useScenePaints(theme);
  return <SceneRoot Draw={Draw} text={useSceneText()} style={style} states={states} root={root} />;
}
