import type { ProjectDocument } from '@mint-lamp/core/system/document';
import type { Regions } from '@mint-lamp/core/system/pairs/regions';
import { type RepairOfAll, repairAll } from '@mint-lamp/core/system/repairs/repair-all';
import { resolveSystem } from '@mint-lamp/core/system/resolve/resolve';
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
