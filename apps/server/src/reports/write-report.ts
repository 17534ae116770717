import { readFile, writeFile } from 'node:fs/promises';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { underTexts } from '@mint-lamp/core/judged/pairs/under-text';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { reportOf } from '@mint-lamp/core/judged/readout/report';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { readRegion } from '@mint-lamp/core/wire/regions';

export interface ReportInput {
  /** A file with the document as JSON. */
  readonly document: string;
  readonly revision: number;
  /** When it is written, ISO 8601. */
  readonly at: string;
  /** Colours of regions of pictures as bytes, by their key. */
  readonly regions: ReadonlyMap<string, Uint8Array>;
  /** Where the report is put, as JSON. */
  readonly file: string;
}

/** Job: measures every pair in every theme and writes the report. */
export async function writeReport({ document, revision, at, regions, file }: ReportInput): Promise<null> {
  const colors = new Map(
    [...regions].map(([key, bytes]) => [key, readRegion(Uint8Array.from(bytes).buffer)] as const),
  );
  const parsed = JSON.parse(await readFile(document, 'utf8')) as ProjectDocument;
  const system = resolveSystem(parsed, undefined, colors);
  await writeFile(file, JSON.stringify(reportOf(readoutOf(system, undefined, underTexts), revision, at)));
  return null;
}
