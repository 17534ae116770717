import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Derivation } from '@mint-lamp/core/edits/themes/derivation';
import { type DerivedTheme, deriveTheme } from '@mint-lamp/core/edits/themes/derive-theme';
import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

interface DeriveInput {
  readonly document: ProjectDocument;
  readonly from: string;
  readonly way: Derivation;
}

/** A theme derived from another, before it is taken. */
const work: Job<DeriveInput, DerivedTheme> = async ({ document, from, way }, { progress, yieldTurn }) => {
  return drainInTurns(deriveTheme(resolveSystem(document), from, way), (share) => {
    progress(share);
    return yieldTurn();
  });
};
export default work;
