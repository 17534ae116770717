import type { Relation } from '../../harmony/relations.ts';
import type { StepsOf, WordsOf } from '../commands/definition.ts';
import type { RelationRow, Relatives } from './relatives.ts';

/** What these commands look at. */
export interface RelativesPart {
  readonly relatives: Relatives;
}

export type RelativesCommand =
  | { readonly type: 'setRelativesSource'; readonly color: string | null }
  /** As it was adjusted; null for as it is usually. */
  | { readonly type: 'setRelation'; readonly relation: Relation; readonly row: RelationRow | null };

export const relativesSteps: StepsOf<RelativesCommand, RelativesPart> = {
  setRelativesSource: (doc, { color }) => [
    { relatives: { ...doc.relatives, source: color } },
    { type: 'setRelativesSource', color: doc.relatives.source },
  ],

  setRelation(doc, { relation, row }) {
    const { rows } = doc.relatives;
    const old = rows.find((one) => one.relation === relation) ?? null;
    const rest = rows.filter((one) => one !== old);
    const next = row === null ? rest : [...rest, { ...row, relation }];
    return [
      { relatives: { ...doc.relatives, rows: sorted(next) } },
      { type: 'setRelation', relation, row: old },
    ];
  },
};

/** In one order whatever the way to it. */
const sorted = (rows: readonly RelationRow[]): RelationRow[] =>
  [...rows].sort((a, b) => (a.relation < b.relation ? -1 : 1));

export const relativesWords: WordsOf<RelativesCommand, RelativesPart> = {
  setRelativesSource: (_, { color }) =>
    color ? `look at the relatives of ${color}` : 'put the relatives away',
  setRelation: (_, { relation, row }) =>
    row?.showsOwn ? `adjust the ${relation} relation by hand` : `adjust the ${relation} relation`,
};
