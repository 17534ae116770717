import { kindOf } from '../kind.ts';
import type { Round } from './round.ts';
import { type RoundCommand, type RoundList, roundSteps, roundWords } from './round-commands.ts';
import { roundSchemas } from './round-schema.ts';

export const rounds = kindOf<{ readonly rounds: readonly Round[] }, RoundCommand, RoundList>()({
  empty: { rounds: [] },
  steps: roundSteps,
  words: roundWords,
  schemas: roundSchemas,
  compared: {
    rounds: {
      as: 'whole',
      title: 'Rounds of proposals',
      add: (round, index) => ({ type: 'addRound', round, index }),
      remove: (round) => ({ type: 'removeRound', round }),
    },
  },
});
