import { MOST_PICTURE_BYTES } from '@mint-lamp/core/picture/kind';
import type { Wanted } from '../fetching/from-web.ts';
import { refused } from './refused-picture.ts';

/** A picture, as it is fetched from the web. */
export const PICTURE: Wanted = {
  one: 'picture',
  many: 'pictures',
  accept: 'image/*',
  bytes: MOST_PICTURE_BYTES,
  tooLarge: refused.bytes,
};
