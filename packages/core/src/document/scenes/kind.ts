import { kindOf } from '../kind.ts';
import { sameJson } from '../same.ts';
import { type SceneCommand, type SceneParts, sceneCommandWords, sceneSteps } from './scene-commands.ts';
import { sceneSchemas } from './scene-schema.ts';
import type { SceneUse } from './scene-uses.ts';
import type { SceneWord } from './scene-words.ts';
import type { Scenes } from './scenes.ts';

/** The keys whose values differ. */
const differing = <K extends string>(from: Readonly<Partial<Record<K, unknown>>>, to: typeof from): K[] =>
  ([...new Set([...Object.keys(from), ...Object.keys(to)])] as K[]).filter(
    (key) => !sameJson(from[key], to[key]),
  );

/** The commands that make the scenes of one state those of another. */
const between = (from: Scenes, to: Scenes): SceneCommand[] => [
  ...differing<SceneUse>(from.cast, to.cast).map(
    (use): SceneCommand => ({ type: 'castUse', use, link: to.cast[use] ?? null }),
  ),
  ...differing<SceneWord>(from.words, to.words).map(
    (word): SceneCommand => ({ type: 'setSceneWord', word, text: to.words[word] ?? null }),
  ),
];

export const scenes = kindOf<{ readonly scenes: Scenes }, SceneCommand, SceneParts>()({
  empty: { scenes: { cast: {}, words: {} } },
  steps: sceneSteps,
  words: sceneCommandWords,
  schemas: sceneSchemas,
  compared: { scenes: { as: 'value', between } },
});
