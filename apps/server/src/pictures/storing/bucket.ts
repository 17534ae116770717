import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import {
  DeleteObjectCommand,
  GetObjectCommand,
  HeadBucketCommand,
  ListObjectsV2Command,
  PutObjectCommand,
  S3Client,
} from '@aws-sdk/client-s3';

/** A bucket with the S3 interface in which pictures lie. */
export interface PictureBucket {
  /** Such as `https://store.example.org`. */
  readonly endpoint: string;
  readonly bucket: string;
  readonly region: string;
  readonly key: string;
  readonly secret: string;
}

/** Bytes of pictures by their content, in a store beside the database. */
export interface BucketStore {
  /** Puts a file there; one that is there already is the same. */
  put(content: string, file: string, size: number, mediaType: string): Promise<void>;
  read(content: string): Readable;
  remove(content: string): Promise<void>;
  /** Every content that lies there. */
  list(): AsyncIterable<string>;
  /** Rejects where the bucket cannot be reached, or is not ours. */
  check(): Promise<void>;
  close(): void;
}

/** Beside them other things may lie in the bucket. */
const PREFIX = 'pictures/';
/** How long a store may take to answer, ms, and how often it is asked again. */
const PATIENCE_MS = 20_000;
const ATTEMPTS = 4;

export function openBucket({ endpoint, bucket: Bucket, region, key, secret }: PictureBucket): BucketStore {
  const client = new S3Client({
    endpoint,
    region,
    // Bucket names in paths: whoever runs such a store seldom has a name for each bucket.
    forcePathStyle: true,
    credentials: { accessKeyId: key, secretAccessKey: secret },
    maxAttempts: ATTEMPTS,
    requestHandler: { connectionTimeout: 5000, requestTimeout: PATIENCE_MS },
    // Checksums of its own making are not known to every store; contents are named by theirs.
    requestChecksumCalculation: 'WHEN_REQUIRED',
    responseChecksumValidation: 'WHEN_REQUIRED',
  });
  const keyOf = (content: string) => PREFIX + content;

  async function* bytes(content: string): AsyncGenerator<Uint8Array> {
    const { Body } = await client.send(new GetObjectCommand({ Bucket, Key: keyOf(content) }));
    yield* Body as Readable;
  }

  return {
    async put(content, file, size, mediaType) {
      await client.send(
        new PutObjectCommand({
          Bucket,
          Key: keyOf(content),
          Body: createReadStream(file),
          ContentLength: size,
          ContentType: mediaType,
        }),
      );
    },
    read: (content) => Readable.from(bytes(content), { objectMode: false }),
    async remove(content) {
      await client.send(new DeleteObjectCommand({ Bucket, Key: keyOf(content) }));
    },
    async *list() {
      let ContinuationToken: string | undefined;
      do {
        const page = await client.send(
          new ListObjectsV2Command({
            Bucket,
            Prefix: PREFIX,
            ...(ContinuationToken === undefined ? {} : { ContinuationToken }),
          }),
        );
        for (const { Key } of page.Contents ?? []) if (Key) yield Key.slice(PREFIX.length);
        ContinuationToken = page.NextContinuationToken;
      } while (ContinuationToken !== undefined);
    },
    async check() {
      await client.send(new HeadBucketCommand({ Bucket }));
    },
    close: () => client.destroy(),
  };
}
