import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { writeCheckScript } from '@mint-lamp/core/exchange/check-script';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { writeHexList } from '@mint-lamp/core/exchange/hex-list';
import { resolveSystem, type System } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

export type FileForm = 'css' | 'hex' | 'check';

const WRITERS: Readonly<Record<FileForm, (system: System) => string>> = {
  css: writeCss,
  hex: writeHexList,
  check: writeCheckScript,
};

/** A project as a file to hand over. */
const work: Job<{ document: ProjectDocument; form: FileForm }, string> = ({ document, form }) =>
  WRITERS[form](resolveSystem(document));
export default work;
