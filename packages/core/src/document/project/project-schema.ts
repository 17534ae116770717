import type { KindSchemas } from '../kind.ts';
import { MOST_WORDS } from '../limits.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import type { ProjectCommand } from './project-commands.ts';
import type { SampleWords } from './sample-words.ts';

export function projectSchemas(
  parts: SchemaParts,
): KindSchemas<{ name: string; ground: string | null; words: SampleWords }, ProjectCommand> {
  const { objectOf, id, name, text } = parts;
  const projectNameSchema = name;

  /** The role beneath everything, or white. */
  const groundSchema = id.allow(null);

  const wordsSchema = objectOf<SampleWords>({
    text: text(MOST_WORDS).allow(null),
    action: text(MOST_WORDS).allow(null),
  });

  const projectCommandSchemas: CommandSchemas<ProjectCommand> = {
    renameProject: { name: projectNameSchema },
    setGround: { role: groundSchema },
    setWords: { words: wordsSchema },
  };

  return {
    parts: { name: projectNameSchema, ground: groundSchema, words: wordsSchema },
    commands: projectCommandSchemas,
  };
}
