import { writeReportCsv } from '@mint-lamp/core/exchange/report-csv';
import { writeReportHtml } from '@mint-lamp/core/exchange/report-html';
import type { ProjectDocument } from '@mint-lamp/core/system/document';
import { readoutOf } from '@mint-lamp/core/system/readout/readout';
import { type ContrastReport, reportOf } from '@mint-lamp/core/system/readout/report';
import { resolveSystem } from '@mint-lamp/core/system/resolve/resolve';
import type { Job } from '../job.ts';

export type ReportForm = 'html' | 'csv' | 'json';

interface ReportInput {
  readonly document: ProjectDocument;
  readonly revision: number;
  /** ISO 8601. */
  readonly at: string;
  readonly form: ReportForm;
}

const WRITERS: Readonly<Record<ReportForm, (report: ContrastReport) => string>> = {
  html: writeReportHtml,
  csv: writeReportCsv,
  json: (report) => `${JSON.stringify(report, null, 2)}\n`,
};

/** The contrast report of a project as a file. */
const work: Job<ReportInput, string> = ({ document, revision, at, form }) =>
  WRITERS[form](reportOf(readoutOf(resolveSystem(document)), revision, at));
export default work;
