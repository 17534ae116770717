import { MOST_PIXELS } from '@mint-lamp/core/document/limits';
import { MOST_PICTURE_BYTES, PICTURE_KINDS_IN_WORDS } from '@mint-lamp/core/picture/kind';
import { ApiError } from '../errors.ts';

const megapixels = (pixels: number) => Math.ceil(pixels / 1e5) / 10;

/** Why bytes are no picture that can be kept, each in one sentence that says which limit. */
export const refused = {
  kind: () =>
    new ApiError(
      'NOT_A_PICTURE',
      `This kind of file can’t be opened. These can: ${PICTURE_KINDS_IN_WORDS}.`,
      'body',
    ),
  broken: (kind: string) =>
    new ApiError(
      'NOT_A_PICTURE',
      `The file begins as ${kind} does, but it is broken and cannot be read to its end; save it anew from where it came.`,
      'body',
    ),
  noise: (noise: number, width: number, height: number, most: number) =>
    new ApiError(
      'TOO_COSTLY',
      `The noise in this drawing (feTurbulence) would be worked out for ${megapixels(noise)} megapixels at its ${Math.round(width)} × ${Math.round(height)} px, octaves counted; ${most / 1e6} are the most. Make the drawing smaller, take fewer octaves, or save it as PNG.`,
      'body',
    ),
  tooMany: (most: number) =>
    new ApiError(
      'TOO_MANY',
      `The project was given ${most} pictures that nothing in it names; use some of them first, or wait a day until the oldest are cleared.`,
      'body',
    ),
  empty: () => new ApiError('NOT_A_PICTURE', 'The file is empty.', 'body'),
  bytes: () =>
    new ApiError(
      'TOO_LARGE',
      `The file is larger than ${MOST_PICTURE_BYTES / 1e6} MB, which is the most that can be opened.`,
      'body',
    ),
  pixels: (width: number, height: number) =>
    new ApiError(
      'TOO_LARGE',
      `The picture has ${megapixels(width * height)} megapixels (${width} × ${height}); ${MOST_PIXELS / 1e6} are the most that can be opened.`,
      'body',
    ),
  side: (width: number, height: number, most: number) =>
    new ApiError(
      'TOO_LARGE',
      `The picture is ${width} × ${height} px; no side may be longer than ${most}.`,
      'body',
    ),
};
