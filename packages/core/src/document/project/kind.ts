import { Refusal } from '../commands/refusal.ts';
import { kindOf } from '../kind.ts';
import { type ProjectCommand, type ProjectParts, projectSteps, projectWords } from './project-commands.ts';
import { projectSchemas } from './project-schema.ts';
import { NO_WORDS, type SampleWords } from './sample-words.ts';

/** What a project says of itself: its name, the role beneath everything, the words of its samples. */
interface Parts {
  readonly name: string;
  /** The role that lies beneath everything, over which translucent grounds are composited. */
  readonly ground: string | null;
  readonly words: SampleWords;
}

export const project = kindOf<Parts, ProjectCommand, ProjectParts>()({
  empty: { name: '', ground: null, words: NO_WORDS },
  steps: projectSteps,
  words: projectWords,
  schemas: projectSchemas,
  check({ ground, roles }) {
    if (ground !== null && !roles.some(({ id }) => id === ground))
      throw new Refusal('What lies beneath the page is a role that does not exist.');
  },
  compared: {
    name: { as: 'value', between: (_, name) => [{ type: 'renameProject', name }] },
    ground: { as: 'value', between: (_, role) => [{ type: 'setGround', role }] },
    words: { as: 'value', between: (_, words) => [{ type: 'setWords', words }] },
  },
});
