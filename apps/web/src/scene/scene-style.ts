import { SCENE_USE_IDS, sceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import { isImage } from '@mint-lamp/core/system/scenes/is-image';
import type { ScenePaints } from '@mint-lamp/core/system/scenes/scene-paints';
import type { CSSProperties } from 'react';

/**
 * What paints a scene, as custom properties on its root: a colour that changes is a property that changes, and nothing
 * inside is drawn again. A text that a gradient paints is clear, with the gradient seen through its letters.
 */
export function sceneStyle(paints: ScenePaints): CSSProperties {
  const style: Record<string, string> = {};
  for (const use of SCENE_USE_IDS) {
    const css = paints[use];
    if (css === undefined) continue;
    if (sceneUse(use).paints === 'text' && isImage(css)) {
      style[`--s-${use}`] = 'transparent';
      style[`--s-${use}-image`] = css;
    } else style[`--s-${use}`] = css;
  }
  return style;
}
