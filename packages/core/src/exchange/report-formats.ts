import type { ContrastReport } from '../judged/readout/report.ts';

type Written = string | Uint8Array;

/** A file that a contrast report is handed over as, and all that there is to know of it. */
interface ReportFormat {
  /** The ending of the file. */
  readonly id: string;
  readonly name: string;
  /** What it is good for, in a few words. */
  readonly says: string;
  readonly mediaType: string;
  /** What writes it, which is fetched when it is needed. */
  readonly writer: () => Promise<(report: ContrastReport) => Written | Promise<Written>>;
}

/** All of them, the usual one first. */
export const REPORT_FORMATS = [
  {
    id: 'html',
    name: 'Page',
    says: 'to read, print and send',
    mediaType: 'text/html',
    writer: async () => (await import('./report-html.ts')).writeReportHtml,
  },
  {
    id: 'pdf',
    name: 'Paper',
    says: 'to print as it is',
    mediaType: 'application/pdf',
    writer: async () => (await import('./report-pdf.ts')).writeReportPdf,
  },
  {
    id: 'csv',
    name: 'Table',
    says: 'for a spreadsheet',
    mediaType: 'text/csv',
    writer: async () => (await import('./report-csv.ts')).writeReportCsv,
  },
  {
    id: 'json',
    name: 'Data',
    says: 'for other programs',
    mediaType: 'application/json',
    writer: async () => (report) => `${JSON.stringify(report, null, 2)}\n`,
  },
] as const satisfies readonly ReportFormat[];

export type ReportFormatId = (typeof REPORT_FORMATS)[number]['id'];

export const reportFormat = (id: ReportFormatId): ReportFormat =>
  REPORT_FORMATS.find((format) => format.id === id)!;
