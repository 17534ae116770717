import { Refusal } from '../commands/refusal.ts';
import { kindOf } from '../kind.ts';
import {
  type DeclinedCommand,
  type DeclinedLists,
  declinedSteps,
  declinedWords,
} from './declined-commands.ts';
import type { DeclinedPair } from './declined-pair.ts';
import { declinedSchemas } from './declined-schema.ts';

export const declined = kindOf<
  { readonly declined: readonly DeclinedPair[] },
  DeclinedCommand,
  DeclinedLists
>()({
  empty: { declined: [] },
  steps: declinedSteps,
  words: declinedWords,
  schemas: declinedSchemas,
  check({ declined }) {
    const pairs = new Set(declined.map(({ foreground, background }) => `${foreground} ${background}`));
    if (pairs.size < declined.length) throw new Refusal('A pair is declined twice.');
  },
  compared: {
    declined: {
      as: 'whole',
      title: 'Declined pairs',
      add: (declined, index) => ({ type: 'declinePair', declined, index }),
      remove: (declined) => ({ type: 'reconsiderPair', declined }),
    },
  },
});
