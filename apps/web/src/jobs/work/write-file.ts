import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

/** A project as a file to hand over. */
const work: Job<{ document: ProjectDocument; form: FileFormatId }, string> = async ({ document, form }) => {
  const write = await fileFormat(form).writer();
  return write(resolveSystem(document));
};
export default work;
