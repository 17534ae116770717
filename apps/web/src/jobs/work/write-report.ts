import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type ReportFormatId, reportFormat } from '@mint-lamp/core/exchange/report-formats';
import { underTexts } from '@mint-lamp/core/judged/pairs/under-text';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { reportOf } from '@mint-lamp/core/judged/readout/report';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

interface ReportInput {
  readonly document: ProjectDocument;
  readonly revision: number;
  /** ISO 8601. */
  readonly at: string;
  readonly form: ReportFormatId;
  readonly regions: Regions;
}

/** The contrast report of a project as a file. */
const work: Job<ReportInput, string | Uint8Array> = async ({ document, revision, at, form, regions }) => {
  const write = await reportFormat(form).writer();
  return write(
    reportOf(readoutOf(resolveSystem(document, undefined, regions), undefined, underTexts), revision, at),
  );
};
export default work;
