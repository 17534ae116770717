import { readFile, writeFile } from 'node:fs/promises';
import type { LeftOut } from '@mint-lamp/core/document/delivery/delivery';
import type { KeptChoices } from '@mint-lamp/core/document/delivery/forms';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type FileFormatId, fileFormat } from '@mint-lamp/core/exchange/file-formats';
import { chosenSystem } from '@mint-lamp/core/system/delivery/chosen-system';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { readRegion } from '@mint-lamp/core/wire/regions';
import { fontFiles } from './font-files.ts';

export interface FormInput {
  /** A file with the document as JSON. */
  readonly document: string;
  readonly form: FileFormatId;
  readonly choices: KeptChoices;
  readonly leftOut: LeftOut;
  readonly revision: number;
  /** When that revision was made, ISO 8601. */
  readonly at: string;
  /** Colours of regions of pictures as bytes, by their key. */
  readonly regions: ReadonlyMap<string, Uint8Array>;
  /** Where the file is put. */
  readonly file: string;
}

/** Job: writes a project in one form. */
export async function writeForm(input: FormInput): Promise<null> {
  const { form, choices, leftOut, revision, at, file } = input;
  const regions = new Map(
    [...input.regions].map(([key, bytes]) => [key, readRegion(Uint8Array.from(bytes).buffer)] as const),
  );
  const document = JSON.parse(await readFile(input.document, 'utf8')) as ProjectDocument;
  const { system } = chosenSystem(resolveSystem(document, undefined, regions), leftOut);
  const write = await fileFormat(form).writer();
  await writeFile(file, await write({ system, choices, at, revision, fonts: fontFiles }));
  return null;
}
