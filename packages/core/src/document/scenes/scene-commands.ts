import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { Refusal } from '../commands/refusal.ts';
import { nameIn } from '../naming/names.ts';
import { type NamedRole, roleNameIn } from '../naming/role-name.ts';
import { type CastLink, SCENE_USES, type SceneUse, sceneUse } from './scene-uses.ts';
import type { SceneWord } from './scene-words.ts';
import type { Scenes } from './scenes.ts';

type Named = readonly { readonly id: string; readonly name: string }[];

/** What these commands look at. */
export interface SceneParts {
  readonly scenes: Scenes;
  readonly roles: readonly NamedRole[];
  readonly gradients: Named;
  readonly pictures: Named;
}

export type SceneCommand =
  /** Null for as it is found. */
  | { readonly type: 'castUse'; readonly use: SceneUse; readonly link: CastLink | null }
  /** Null for the plain words. */
  | { readonly type: 'setSceneWord'; readonly word: SceneWord; readonly text: string | null };

/** A record with a key set, or without it. */
function withKey<R extends object, K extends keyof R>(record: R, key: K, value: R[K] | null): R {
  const { [key]: _, ...rest } = record;
  return (value === null ? rest : { ...record, [key]: value }) as R;
}

export const sceneSteps: StepsOf<SceneCommand, SceneParts> = {
  castUse({ scenes }, { use, link }) {
    if (link && (link.to === 'gradient' || link.to === 'picture') && !sceneUse(use).wide)
      throw new Refusal(`A role paints ${SCENE_USES[use].name}; a ${link.to} cannot.`);
    return [
      { scenes: { ...scenes, cast: withKey(scenes.cast, use, link) } },
      { type: 'castUse', use, link: scenes.cast[use] ?? null },
    ];
  },

  setSceneWord({ scenes }, { word, text }) {
    return [
      { scenes: { ...scenes, words: withKey(scenes.words, word, text) } },
      { type: 'setSceneWord', word, text: scenes.words[word] ?? null },
    ];
  },
};

function castName({ roles, gradients, pictures }: SceneParts, link: CastLink): string {
  if (link.to === 'role') return roleNameIn(roles, link.role);
  if (link.to === 'gradient') return nameIn(gradients, link.gradient);
  return link.to === 'picture' ? nameIn(pictures, link.picture) : 'nothing';
}

export const sceneCommandWords: WordsOf<SceneCommand, SceneParts> = {
  castUse: (doc, { use, link }) =>
    link
      ? `let ${castName(doc, link)} paint ${SCENE_USES[use].name} on scenes`
      : `let ${SCENE_USES[use].name} on scenes be painted by what is found`,
  setSceneWord: (_, { text }) =>
    text === null ? 'put back the plain words of a scene' : `let scenes say "${text}"`,
};
