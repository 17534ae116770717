import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { type NamedRole, roleNameIn } from '../naming/role-name.ts';
import { type DeclinedPair, MOST_DECLINED } from './declined-pair.ts';

/** What these commands look at. */
export interface DeclinedLists {
  readonly declined: readonly DeclinedPair[];
  readonly roles: readonly NamedRole[];
}

export type DeclinedCommand =
  | { readonly type: 'declinePair'; readonly declined: DeclinedPair; readonly index?: number }
  /** Lets a declined pair be suggested again. */
  | { readonly type: 'reconsiderPair'; readonly declined: string };

export const declinedSteps: StepsOf<DeclinedCommand, DeclinedLists> = {
  declinePair(doc, { declined, index }) {
    const isSame = (other: DeclinedPair) =>
      other.foreground === declined.foreground && other.background === declined.background;
    if (doc.declined.some(isSame)) throw new Refusal('This pair is declined already.');
    return [
      { declined: inserted(doc.declined, declined, index, MOST_DECLINED, 'declined pair') },
      { type: 'reconsiderPair', declined: declined.id },
    ];
  },

  reconsiderPair(doc, { declined }) {
    const index = indexOf(doc.declined, declined, 'declined pair');
    return [
      { declined: without(doc.declined, index) },
      { type: 'declinePair', declined: doc.declined[index]!, index },
    ];
  },
};

export const declinedWords: WordsOf<DeclinedCommand, DeclinedLists> = {
  declinePair: (doc, { declined: { foreground, background } }) =>
    `decline the pair ${roleNameIn(doc.roles, foreground)} on ${roleNameIn(doc.roles, background)}`,
  reconsiderPair: () => 'have a declined pair suggested again',
};
