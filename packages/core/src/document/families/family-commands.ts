import { readColor } from '../../color/parse.ts';
import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, omit, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import { type Linked, refuseCircles } from '../links/circles.ts';
import { type Following, followedBy } from '../links/following.ts';
import type { FamilyGrowth } from '../links/growth-ground.ts';
import { checkName, nameIn } from '../naming/names.ts';
import { type Family, MOST_FAMILIES, MOST_HAND_SET } from './family.ts';

/** What these commands look at. */
export interface FamilyLists extends Linked {
  readonly families: readonly Family[];
}

export type FamilyCommand =
  | { readonly type: 'addFamily'; readonly family: Family; readonly index?: number }
  | { readonly type: 'removeFamily'; readonly family: string }
  | { readonly type: 'renameFamily'; readonly family: string; readonly name: string }
  | { readonly type: 'moveFamily'; readonly family: string; readonly index: number }
  | { readonly type: 'setBase'; readonly family: string; readonly color: string }
  | { readonly type: 'setGrowth'; readonly family: string; readonly growth: FamilyGrowth }
  | { readonly type: 'setFollows'; readonly family: string; readonly follows: Following | null }
  | {
      readonly type: 'setShade';
      readonly family: string;
      readonly shade: string;
      readonly color: string | null;
      /** Brings back the colour of a label that was gone already when it was taken away. */
      readonly gone?: true;
    };

const change = (doc: FamilyLists, index: number, part: Partial<Family>): FamilyLists => ({
  ...doc,
  families: replaced(doc.families, index, { ...doc.families[index]!, ...part }),
});

export const familySteps: StepsOf<FamilyCommand, FamilyLists> = {
  addFamily(doc, { family, index }) {
    checkName(family.name, doc.families, family.id, 'family');
    const next = { ...doc, families: inserted(doc.families, family, index, MOST_FAMILIES, 'family') };
    refuseCircles(next, [{ kind: 'shades', family: family.id }]);
    return [next, { type: 'removeFamily', family: family.id }];
  },

  removeFamily(doc, { family }) {
    const index = indexOf(doc.families, family, 'family');
    return [
      { families: without(doc.families, index) },
      { type: 'addFamily', family: doc.families[index]!, index },
    ];
  },

  renameFamily(doc, { family, name }) {
    const index = indexOf(doc.families, family, 'family');
    checkName(name, doc.families, family, 'family');
    return [change(doc, index, { name }), { type: 'renameFamily', family, name: doc.families[index]!.name }];
  },

  moveFamily(doc, { family, index }) {
    const from = indexOf(doc.families, family, 'family');
    return [{ families: moved(doc.families, from, index) }, { type: 'moveFamily', family, index: from }];
  },

  setBase(doc, { family, color }) {
    const index = indexOf(doc.families, family, 'family');
    const { name, base, follows } = doc.families[index]!;
    if (follows && follows.by !== 'tint') {
      const [first] = followedBy(follows);
      throw new Refusal(`The base of ${name} follows ${nameIn(doc.families, first!)}; cut that first.`);
    }
    return [change(doc, index, { base: color }), { type: 'setBase', family, color: base }];
  },

  setGrowth(doc, { family, growth }) {
    const index = indexOf(doc.families, family, 'family');
    const next = change(doc, index, { growth });
    refuseCircles(next, [{ kind: 'shades', family }]);
    return [next, { type: 'setGrowth', family, growth: doc.families[index]!.growth }];
  },

  setFollows(doc, { family, follows }) {
    const index = indexOf(doc.families, family, 'family');
    const next = change(doc, index, { follows });
    refuseCircles(next, [{ kind: 'base', family }]);
    return [next, { type: 'setFollows', family, follows: doc.families[index]!.follows }];
  },

  setShade(doc, { family, shade, color, gone }) {
    const index = indexOf(doc.families, family, 'family');
    const { growth, handSet } = doc.families[index]!;
    const old = handSet[shade] ?? null;
    // A hand-set colour may outlive its label when the growth changes, and can then still be taken away.
    const isThere = growth.labels.includes(shade);
    if (!isThere && old === null && !gone) throw new Refusal(`This family has no shade ${shade} any more.`);
    const next = color === null ? omit(handSet, shade) : { ...handSet, [shade]: color };
    if (Object.keys(next).length > MOST_HAND_SET)
      throw new Refusal(
        `A family holds at most ${MOST_HAND_SET} shades set by hand, those of lost labels counted.`,
      );
    const back = { type: 'setShade', family, shade, color: old } as const;
    const after = change(doc, index, { handSet: next });
    if (color !== null && (readColor(color).alpha ?? 1) < 1) refuseCircles(after, []);
    return [after, isThere ? back : { ...back, gone: true }];
  },
};

export const familyWords: WordsOf<FamilyCommand, FamilyLists> = {
  addFamily: (_, { family }) => `add the family ${family.name}`,
  removeFamily: (doc, { family }) => `remove the family ${nameIn(doc.families, family)}`,
  renameFamily: (doc, { family, name }) => `rename ${nameIn(doc.families, family)} to ${name}`,
  moveFamily: (doc, { family }) => `move the family ${nameIn(doc.families, family)}`,
  setBase: (doc, { family }) => `change the base of ${nameIn(doc.families, family)}`,
  setGrowth: (doc, { family }) => `change how ${nameIn(doc.families, family)} grows`,
  setFollows: (doc, { family, follows }) =>
    follows
      ? `let ${nameIn(doc.families, family)} follow ${nameIn(doc.families, follows.family)}`
      : `cut ${nameIn(doc.families, family)} from what it follows`,
  setShade: (doc, { family, shade, color }) =>
    color
      ? `set ${nameIn(doc.families, family)} ${shade} by hand`
      : `reset ${nameIn(doc.families, family)} ${shade} to growth`,
};
