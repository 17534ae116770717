import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import type { SceneCommand } from './scene-commands.ts';
import { type CastLink, SCENE_USE_IDS, sceneUse } from './scene-uses.ts';
import { MOST_SCENE_WORDS, SCENE_WORD_IDS } from './scene-words.ts';
import type { Scenes } from './scenes.ts';

export function sceneSchemas(parts: SchemaParts): KindSchemas<{ scenes: Scenes }, SceneCommand> {
  const { Joi, objectOf, record, unionOf, id, text } = parts;
  const use = Joi.valid(...SCENE_USE_IDS);
  const word = Joi.valid(...SCENE_WORD_IDS);
  const said = text(MOST_SCENE_WORDS);
  const plain = { role: { role: id }, nothing: {} };
  const castLink = unionOf<CastLink, 'to'>('to', {
    ...plain,
    gradient: { gradient: id },
    picture: { picture: id },
  });
  const plainLink = unionOf<Exclude<CastLink, { to: 'gradient' | 'picture' }>, 'to'>('to', plain);
  const cast = Joi.object(
    Object.fromEntries(SCENE_USE_IDS.map((one) => [one, sceneUse(one).wide ? castLink : plainLink])),
  );

  const scenesSchema = objectOf<Scenes>({
    cast,
    words: record(said, SCENE_WORD_IDS.length, word),
  });

  const sceneCommandSchemas: CommandSchemas<SceneCommand> = {
    castUse: { use, link: castLink.allow(null) },
    setSceneWord: { word, text: said.allow(null) },
  };

  return { parts: { scenes: scenesSchema }, commands: sceneCommandSchemas };
}
