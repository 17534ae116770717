import { SCENE_WORDS, type SceneWord, type SceneWords } from '@mint-lamp/core/document/scenes/scene-words';

/** Everything that scenes say: the project's name, its words, and plain ones for the rest. */
export type SceneText = Readonly<Record<SceneWord | 'name' | 'action', string>>;

export const sceneText = (name: string, action: string, own: SceneWords): SceneText => ({
  ...SCENE_WORDS,
  ...own,
  name,
  action,
});
