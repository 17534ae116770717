import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type RepairOfAll, repairAll } from '@mint-lamp/core/edits/repairs/repair-all';
import { drainInTurns } from '@mint-lamp/core/in-parts/drain';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

/** Links that make as many failing pairs pass as can without breaking another, in every theme. */
const work: Job<{ readonly document: ProjectDocument; readonly regions: Regions }, RepairOfAll> = async (
  { document, regions },
  { progress, yieldTurn },
) => {
  return drainInTurns(repairAll(resolveSystem(document, undefined, regions)), (share) => {
    progress(share);
    return yieldTurn();
  });
};
export default work;
