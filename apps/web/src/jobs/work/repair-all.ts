import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type RepairOfAll, repairAll } from '@mint-lamp/core/edits/repairs/repair-all';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

/** Links that make as many failing pairs pass as can without breaking another, in every theme. */
const work: Job<{ readonly document: ProjectDocument; readonly regions: Regions }, RepairOfAll> = async (
  { document, regions },
  { progress, breathe },
) => {
  const parts = repairAll(resolveSystem(document, undefined, regions));
  let step = parts.next();
  for (; !step.done; step = parts.next()) {
    progress(step.value);
    await breathe();
  }
  return step.value;
};
export default work;
