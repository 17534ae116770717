import type { FormInput } from '../deliver/write-form.ts';
import type { CountInput } from '../pictures/drawing/count-regions.ts';
import type { TakeInput, TakenPicture } from '../pictures/storing/take-in-file.ts';
import type { ReportInput } from '../reports/write-report.ts';

/** What runs in processes of its own: what decodes, paints or counts. Large things are handed on as files. */
export interface JobList {
  takeIn: { input: TakeInput; output: TakenPicture };
  /** The colours of each region as bytes; see the core's `wire/regions.ts`. */
  countRegions: { input: CountInput; output: Uint8Array[] };
  writeReport: { input: ReportInput; output: null };
  writeForm: { input: FormInput; output: null };
}

export type JobName = keyof JobList;

/** Each is loaded into a process when it is first run there. */
export const JOBS: {
  readonly [K in JobName]: () => Promise<(input: JobList[K]['input']) => Promise<JobList[K]['output']>>;
} = {
  takeIn: async () => (await import('../pictures/storing/take-in-file.ts')).takeInFile,
  countRegions: async () => (await import('../pictures/drawing/count-regions.ts')).countRegions,
  writeForm: async () => (await import('../deliver/write-form.ts')).writeForm,
  writeReport: async () => (await import('../reports/write-report.ts')).writeReport,
};
