import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, without } from '../commands/lists.ts';
import { MOST_ROUNDS, type Round } from './round.ts';

/** What these commands look at. */
export interface RoundList {
  readonly rounds: readonly Round[];
}

export type RoundCommand =
  | { readonly type: 'addRound'; readonly round: Round; readonly index?: number }
  | { readonly type: 'removeRound'; readonly round: string };

export const roundSteps: StepsOf<RoundCommand, RoundList> = {
  addRound: (doc, { round, index }) => [
    { rounds: inserted(doc.rounds, round, index, MOST_ROUNDS, 'round') },
    { type: 'removeRound', round: round.id },
  ],

  removeRound(doc, { round }) {
    const index = indexOf(doc.rounds, round, 'round');
    return [{ rounds: without(doc.rounds, index) }, { type: 'addRound', round: doc.rounds[index]!, index }];
  },
};

const MADE: Readonly<Record<Round['way'], string>> = {
  fresh: 'make a round of proposals',
  like: 'make proposals like one of them',
  away: 'make proposals unlike one of them',
  mix: 'make proposals between two of them',
};

export const roundWords: WordsOf<RoundCommand, RoundList> = {
  addRound: (_, { round }) => MADE[round.way],
  removeRound: () => 'remove a round of proposals',
};
