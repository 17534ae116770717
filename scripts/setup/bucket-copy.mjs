import { createHash } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readdirSync,
  rmSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { ROOT, SetupError } from './run.mjs';

/** The bucket as the built server speaks to it. */
async function bucketOf(url) {
  const built = join(ROOT, 'apps/server/dist/bucket-tools.js');
  if (!existsSync(built)) throw new SetupError('The server is not built: run "npm run build" first.');
  const { openBucketAt } = await import(built);
  return openBucketAt(url);
}

/** SHA-256 of a file, hex. */
async function contentOf(file) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** Copies every picture of a bucket into a folder, each held against its name; how many. */
export async function copyFromBucket(url, folder) {
  const bucket = await bucketOf(url);
  mkdirSync(folder, { recursive: true });
  let count = 0;
  for await (const content of bucket.list()) {
    const file = join(folder, content);
    await pipeline(bucket.read(content), createWriteStream(file));
    if ((await contentOf(file)) !== content) {
      rmSync(file);
      throw new SetupError(`The picture ${content} is not what its name says; the bucket is damaged.`);
    }
    count += 1;
  }
  bucket.close();
  return count;
}

/** Puts the pictures of a folder into a bucket; how many. */
export async function copyToBucket(url, folder) {
  const bucket = await bucketOf(url);
  const contents = readdirSync(folder);
  for (const content of contents) {
    const file = join(folder, content);
    if ((await contentOf(file)) !== content)
      throw new SetupError(`${file} is not what its name says; the backup is damaged.`);
    await bucket.put(content, file, statSync(file).size, 'application/octet-stream');
  }
  bucket.close();
  return contents.length;
}
