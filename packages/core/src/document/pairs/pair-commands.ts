import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { type PairNames, pairName } from '../naming/pair-name.ts';
import { MOST_PAIRS, type Pair } from './pair.ts';

type Optional = 'words' | 'exempt' | 'backdrop' | 'veil';

/** What is to be changed of a pair; null takes away what may be left out. */
export type PairChange = Partial<Omit<Pair, 'id' | Optional>> & {
  readonly [K in Optional]?: NonNullable<Pair[K]> | null;
};

/** A pair after a change. */
function changed(pair: Pair, change: PairChange): Pair {
  const entries = Object.entries({ ...pair, ...change }).filter(([, value]) => value !== null);
  return Object.fromEntries(entries) as unknown as Pair;
}

/** What these commands look at. */
export interface PairLists extends PairNames {
  readonly pairs: readonly Pair[];
}

export type PairCommand =
  | { readonly type: 'addPair'; readonly pair: Pair; readonly index?: number }
  | { readonly type: 'removePair'; readonly pair: string }
  | { readonly type: 'setPair'; readonly pair: string; readonly change: PairChange };

export const pairSteps: StepsOf<PairCommand, PairLists> = {
  addPair(doc, { pair, index }) {
    if (pair.foreground === pair.background) throw new Refusal('A pair needs two different roles.');
    return [
      { pairs: inserted(doc.pairs, pair, index, MOST_PAIRS, 'pair') },
      { type: 'removePair', pair: pair.id },
    ];
  },

  removePair(doc, { pair }) {
    const index = indexOf(doc.pairs, pair, 'pair');
    return [{ pairs: without(doc.pairs, index) }, { type: 'addPair', pair: doc.pairs[index]!, index }];
  },

  setPair(doc, { pair, change }) {
    const index = indexOf(doc.pairs, pair, 'pair');
    const old = doc.pairs[index]!;
    const next = changed(old, change);
    if (next.foreground === next.background) throw new Refusal('A pair needs two different roles.');
    const back: PairChange = Object.fromEntries(
      Object.keys(change).map((key) => [key, old[key as keyof PairChange] ?? null]),
    );
    return [{ pairs: replaced(doc.pairs, index, next) }, { type: 'setPair', pair, change: back }];
  },
};

export const pairWords: WordsOf<PairCommand, PairLists> = {
  addPair: (doc, { pair }) => `add the pair ${pairName(doc, pair)}`,
  removePair: () => 'remove a pair',
  setPair: () => 'change a pair',
};
