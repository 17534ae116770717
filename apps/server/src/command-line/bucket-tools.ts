import { type BucketStore, openBucket } from '../pictures/storing/bucket.ts';
import { bucketAt } from '../settings/settings.ts';

/** The bucket that `PICTURES_URL` names. @public What backup and restore need of a server that keeps pictures in one. */
export const openBucketAt = (url: string): BucketStore => openBucket(bucketAt(url));
