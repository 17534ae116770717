import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Round } from '@mint-lamp/core/document/rounds/round';
import { type ProposedSystem, proposeSystems } from '@mint-lamp/core/edits/rounds/propose-systems';
import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import type { Job } from '../job.ts';

/** How many proposals a round shows. */
const WANTED = 9;

/** The proposals of a round, each with what the readout would count. */
const work: Job<{ document: ProjectDocument; round: Round }, ProposedSystem[]> = async (
  { document, round },
  { progress, yieldTurn },
) => {
  return drainInTurns(proposeSystems(document, round, WANTED), (share) => {
    progress(share);
    return yieldTurn();
  });
};
export default work;
