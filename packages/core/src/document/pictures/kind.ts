import { kindOf } from '../kind.ts';
import type { Picture } from './picture.ts';
import {
  checkPicture,
  type PictureCommand,
  type PictureList,
  pictureSteps,
  pictureWords,
} from './picture-commands.ts';
import { pictureSchemas } from './picture-schema.ts';

export const pictures = kindOf<{ readonly pictures: readonly Picture[] }, PictureCommand, PictureList>()({
  empty: { pictures: [] },
  steps: pictureSteps,
  words: pictureWords,
  schemas: pictureSchemas,
  check({ pictures }) {
    for (const picture of pictures) checkPicture(picture);
  },
  compared: {
    pictures: {
      as: 'whole',
      title: 'Pictures',
      add: (picture, index) => ({ type: 'addPicture', picture, index }),
      remove: (picture) => ({ type: 'removePicture', picture }),
    },
  },
});
