import { Refusal } from '../commands/refusal.ts';
import { kindOf } from '../kind.ts';
import { sameJson } from '../same.ts';
import type { Pair } from './pair.ts';
import { type PairCommand, type PairLists, pairSteps, pairWords } from './pair-commands.ts';
import { pairSchemas } from './pair-schema.ts';

export const pairs = kindOf<{ readonly pairs: readonly Pair[] }, PairCommand, PairLists>()({
  empty: { pairs: [] },
  steps: pairSteps,
  words: pairWords,
  schemas: pairSchemas,
  check({ pairs }) {
    if (pairs.some(({ foreground, background }) => foreground === background))
      throw new Refusal('A pair needs two different roles.');
  },
  compared: {
    pairs: {
      as: 'things',
      word: 'pair',
      add: (pair, index) => ({ type: 'addPair', pair, index }),
      remove: (pair) => ({ type: 'removePair', pair }),
      differs: (was, is) => [
        ...(was.foreground === is.foreground && was.background === is.background ? [] : ['roles']),
        ...(sameJson(was.target, is.target) ? [] : ['target']),
        ...(was.size === is.size && was.weight === is.weight ? [] : ['size and weight']),
        ...(was.words === is.words ? [] : ['words']),
        ...(sameJson(was.exempt, is.exempt) ? [] : ['exemption']),
        ...(sameJson(was.backdrop, is.backdrop) && was.veil === is.veil ? [] : ['what lies under the text']),
      ],
    },
  },
});
