import { SCENE_USE_IDS, type SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';

/** The use that a paint is of, as it is written on parts of scenes: a custom property. Null where it is none. */
export function paintedUse(paint: string | null): SceneUse | null {
  const name = paint && /var\(--s-([a-z-]+)/.exec(paint)?.[1];
  return SCENE_USE_IDS.find((use) => use === name) ?? null;
}
