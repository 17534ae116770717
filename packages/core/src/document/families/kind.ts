import { kindOf } from '../kind.ts';
import { checkName } from '../naming/names.ts';
import { sameJson } from '../same.ts';
import type { Family } from './family.ts';
import { type FamilyCommand, type FamilyLists, familySteps, familyWords } from './family-commands.ts';
import { familySchemas } from './family-schema.ts';

export const families = kindOf<{ readonly families: readonly Family[] }, FamilyCommand, FamilyLists>()({
  empty: { families: [] },
  steps: familySteps,
  words: familyWords,
  schemas: familySchemas,
  check({ families }) {
    for (const { id, name } of families) checkName(name, families, id, 'family');
  },
  compared: {
    families: {
      as: 'things',
      word: 'family',
      add: (family, index) => ({ type: 'addFamily', family, index }),
      remove: (family) => ({ type: 'removeFamily', family }),
      differs: (was, is) => [
        ...(was.base !== is.base ? ['base'] : []),
        ...(sameJson(was.follows, is.follows) ? [] : ['what it follows']),
        ...(sameJson(was.growth, is.growth) ? [] : ['growth']),
        ...(sameJson(was.handSet, is.handSet) ? [] : ['hand-set shades']),
      ],
    },
  },
});
