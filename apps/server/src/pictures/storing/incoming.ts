import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** A folder of one request, in which a file lies while it is looked at, so that no memory has to hold it. */
export interface Incoming {
  readonly folder: string;
  readonly file: string;
  remove(): Promise<void>;
}

/**
 * Bytes that come in, up to a number of them; `tooMany` makes the error for more. Of a request as many again are read
 * and thrown away first, since who is still sending does not hear an answer.
 */
export function atMost(most: number, tooMany: () => Error, { heardOut = false } = {}): Transform {
  let size = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      size += chunk.length;
      if (size <= most) done(null, chunk);
      else if (heardOut && size <= 2 * most) done();
      else done(tooMany());
    },
    flush: (done) => done(size > most ? tooMany() : null),
  });
}

/** Writes what comes to a file; nothing is left of it when that fails. */
export async function writeIncoming(
  from: NodeJS.ReadableStream | AsyncIterable<Uint8Array>,
  through: Transform[] = [],
): Promise<Incoming> {
  const folder = await mkdtemp(join(tmpdir(), 'mint-lamp-incoming-'));
  const file = join(folder, 'given');
  const remove = () => rm(folder, { recursive: true, force: true });
  try {
    await pipeline([from as NodeJS.ReadableStream, ...through, createWriteStream(file)]);
    return { folder, file, remove };
  } catch (error) {
    await remove();
    throw error;
  }
}
