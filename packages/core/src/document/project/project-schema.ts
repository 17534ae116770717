import { MOST_WORDS } from '../pairs/pair.ts';
import { type CommandSchemas, objectOf } from '../schema/keys.ts';
import { id, name, text } from '../schema/parts.ts';
import type { ProjectCommand } from './project-commands.ts';
import type { SampleWords } from './sample-words.ts';

export const projectNameSchema = name;

/** The role beneath everything, or white. */
export const groundSchema = id.allow(null);

export const wordsSchema = objectOf<SampleWords>({
  text: text(MOST_WORDS).allow(null),
  action: text(MOST_WORDS).allow(null),
});

export const projectCommandSchemas: CommandSchemas<ProjectCommand> = {
  renameProject: { name: projectNameSchema },
  setGround: { role: groundSchema },
  setWords: { words: wordsSchema },
};
