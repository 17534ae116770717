import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { type KeptPicture, takeIn } from './intake.ts';

export interface TakeInput {
  /** The file that came. */
  readonly file: string;
  /** Where what is kept of it is put, as `kept`. */
  readonly folder: string;
}

/** A picture as it is kept, its bytes in a file. */
export interface TakenPicture extends Omit<KeptPicture, 'bytes'> {
  readonly file: string;
  /** Bytes of it. */
  readonly size: number;
}

/** Job: takes in a file; see {@link takeIn}. */
export async function takeInFile({ file, folder }: TakeInput): Promise<TakenPicture> {
  const { bytes, ...picture } = await takeIn(await readFile(file));
  const kept = join(folder, 'kept');
  await writeFile(kept, bytes);
  return { ...picture, file: kept, size: bytes.length };
}
