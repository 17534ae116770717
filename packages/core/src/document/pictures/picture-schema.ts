import { PALETTE_STRATEGIES } from '../../picture/strategies.ts';
import type { KindSchemas } from '../kind.ts';
import { MOST_PIXELS } from '../limits.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import {
  LONGEST_SIDE,
  type Marker,
  MOST_MARKERS,
  MOST_MOVED,
  MOST_PICTURES,
  type MovedColor,
  type Picture,
  type PixelPlace,
  SIDES,
  type TextOver,
} from './picture.ts';
import type { PictureCommand } from './picture-commands.ts';

export function pictureSchemas(
  parts: SchemaParts,
): KindSchemas<{ pictures: readonly Picture[] }, PictureCommand> {
  const { Joi, objectOf, optional, color, id, index, list, name, target } = parts;
  const place = Joi.number()
    .integer()
    .min(0)
    .max(LONGEST_SIDE - 1);
  const length = Joi.number().integer().min(1).max(LONGEST_SIDE);
  const side = Joi.valid(...SIDES);
  const leaning = Joi.valid(...PALETTE_STRATEGIES);
  const paletteSize = Joi.number().integer().min(2).max(16);
  const paletteIndex = Joi.number().integer().min(0).max(15);
  const placeKeys = { x: place, y: place, side };

  const markerSchema = objectOf<Marker>({ id, ...placeKeys });
  const textOverSchema = objectOf<TextOver>({
    color,
    x: place,
    y: place,
    width: length,
    height: length,
    target,
  });

  const pictureSchema = objectOf<Picture>({
    id,
    name,
    content: Joi.string().pattern(/^[\da-f]{64}$/, 'SHA-256 in hex'),
    width: length,
    height: length,
    markers: list(markerSchema, MOST_MARKERS),
    moved: Joi.array()
      .items(objectOf<MovedColor>({ leaning, size: paletteSize, index: paletteIndex, ...placeKeys }))
      .max(MOST_MOVED),
    textOver: textOverSchema.allow(null),
  })
    .custom((picture: Picture, helpers) =>
      picture.width * picture.height <= MOST_PIXELS ? picture : helpers.error('picture.large'),
    )
    .messages({ 'picture.large': `{{#label}} may have ${MOST_PIXELS / 1e6} million pixels at most` });

  const picture = id;

  const pictureCommandSchemas: CommandSchemas<PictureCommand> = {
    addPicture: { picture: pictureSchema, index: optional(index) },
    removePicture: { picture },
    renamePicture: { picture, name },
    movePicture: { picture, index },
    addMarker: { picture, marker: markerSchema, index: optional(index) },
    removeMarker: { picture, marker: id },
    setMarker: {
      picture,
      marker: id,
      change: objectOf<Partial<PixelPlace>>({
        x: optional(place),
        y: optional(place),
        side: optional(side),
      }).min(1),
    },
    moveColor: {
      picture,
      leaning,
      size: paletteSize,
      index: paletteIndex,
      to: objectOf<PixelPlace>(placeKeys).allow(null),
    },
    setTextOver: { picture, text: textOverSchema.allow(null) },
  };

  return { parts: { pictures: parts.listOf(pictureSchema, MOST_PICTURES) }, commands: pictureCommandSchemas };
}
