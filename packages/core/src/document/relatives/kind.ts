import { kindOf } from '../kind.ts';
import { sameJson } from '../same.ts';
import type { Relatives } from './relatives.ts';
import {
  type RelativesCommand,
  type RelativesPart,
  relativesSteps,
  relativesWords,
} from './relatives-commands.ts';
import { relativesSchemas } from './relatives-schema.ts';

/** The commands that make the relatives of one state those of another. */
function between(from: Relatives, to: Relatives): RelativesCommand[] {
  const out: RelativesCommand[] = [];
  if (from.source !== to.source) out.push({ type: 'setRelativesSource', color: to.source });
  const wanted = new Map(to.rows.map((row) => [row.relation, row]));
  for (const { relation } of from.rows)
    if (!wanted.has(relation)) out.push({ type: 'setRelation', relation, row: null });
  for (const row of to.rows) {
    const old = from.rows.find(({ relation }) => relation === row.relation);
    if (!sameJson(old, row)) out.push({ type: 'setRelation', relation: row.relation, row });
  }
  return out;
}

export const relatives = kindOf<{ readonly relatives: Relatives }, RelativesCommand, RelativesPart>()({
  empty: { relatives: { source: null, rows: [] } },
  steps: relativesSteps,
  words: relativesWords,
  schemas: relativesSchemas,
  compared: { relatives: { as: 'value', between } },
});
