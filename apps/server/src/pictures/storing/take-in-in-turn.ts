import { open } from 'node:fs/promises';
import { type PictureKind, pictureKindOf } from '@mint-lamp/core/picture/kind';
import type { Lanes } from '../../jobs/jobs.ts';
import type { TakeInput, TakenPicture } from './take-in-file.ts';

/** Bytes that tell what kind a file is. */
const HEAD = 4096;

async function kindOf(file: string): Promise<PictureKind | null> {
  const handle = await open(file);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEAD), 0, HEAD, 0);
    return pictureKindOf(buffer.subarray(0, bytesRead));
  } finally {
    await handle.close();
  }
}

/**
 * Takes in a file in a process apart, when it is its turn. Drawings, which can take long though they are small, stand in
 * a row of their own.
 */
export async function takeInInTurn(
  lanes: Lanes,
  input: TakeInput,
  signal: AbortSignal,
): Promise<TakenPicture> {
  const lane = (await kindOf(input.file)) === 'svg' ? lanes.drawings : lanes.files;
  return lane.run('takeIn', input, signal);
}
