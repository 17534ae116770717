import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf } from '../commands/lists.ts';
import { type Linked, refuseCircles } from '../links/circles.ts';
import { checkLength } from '../naming/names.ts';
import { roleNameIn } from '../naming/role-name.ts';
import type { SampleWords } from './sample-words.ts';

/** What these commands look at. */
export interface ProjectParts extends Linked {
  readonly name: string;
  readonly words: SampleWords;
}

export type ProjectCommand =
  | { readonly type: 'renameProject'; readonly name: string }
  | { readonly type: 'setGround'; readonly role: string | null }
  | { readonly type: 'setWords'; readonly words: SampleWords };

export const projectSteps: StepsOf<ProjectCommand, ProjectParts> = {
  renameProject(doc, { name }) {
    checkLength(name);
    return [{ name }, { type: 'renameProject', name: doc.name }];
  },

  setGround(doc, { role }) {
    if (role !== null) indexOf(doc.roles, role, 'role');
    const next = { ...doc, ground: role };
    refuseCircles(next, []);
    return [next, { type: 'setGround', role: doc.ground }];
  },

  setWords(doc, { words }) {
    return [{ words }, { type: 'setWords', words: doc.words }];
  },
};

export const projectWords: WordsOf<ProjectCommand, ProjectParts> = {
  renameProject: (_, { name }) => `rename the project to ${name}`,
  setGround: (doc, { role }) =>
    role ? `put ${roleNameIn(doc.roles, role)} beneath the page` : 'put white beneath the page',
  setWords: () => 'change the words of samples',
};
