import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { writeReportCsv } from '@mint-lamp/core/exchange/report-csv';
import { writeReportHtml } from '@mint-lamp/core/exchange/report-html';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { type ContrastReport, reportOf } from '@mint-lamp/core/judged/readout/report';
import type { Regions } from '@mint-lamp/core/system/pictures/regions';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import type { Job } from '../job.ts';

export type ReportForm = 'html' | 'csv' | 'json' | 'pdf';

interface ReportInput {
  readonly document: ProjectDocument;
  readonly revision: number;
  /** ISO 8601. */
  readonly at: string;
  readonly form: ReportForm;
  readonly regions: Regions;
}

type Written = string | Uint8Array;
const WRITERS: Readonly<Record<ReportForm, (report: ContrastReport) => Written | Promise<Written>>> = {
  html: writeReportHtml,
  csv: writeReportCsv,
  // Drawn by a library that nobody else needs.
  pdf: async (report) => (await import('@mint-lamp/core/exchange/report-pdf')).writeReportPdf(report),
  json: (report) => `${JSON.stringify(report, null, 2)}\n`,
};

/** The contrast report of a project as a file. */
const work: Job<ReportInput, Written> = ({ document, revision, at, form, regions }) =>
  WRITERS[form](reportOf(readoutOf(resolveSystem(document, undefined, regions)), revision, at));
export default work;
