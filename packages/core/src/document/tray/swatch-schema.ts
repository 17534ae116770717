import Joi from 'joi';
import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { color, id, index, name } from '../schema/parts.ts';
import { MOST_SWATCHES, type Swatch } from './swatch.ts';
import type { SwatchCommand, SwatchPlace } from './swatch-commands.ts';

const group = name.allow('');
/** Up to the year 5138. */
const time = Joi.number().integer().min(0).max(1e14);

export const swatchSchema = objectOf<Swatch>({ id, name, color, group, added: time });
const place = objectOf<SwatchPlace>({ swatch: id, group });

export const swatchCommandSchemas: CommandSchemas<SwatchCommand> = {
  addSwatch: { swatch: swatchSchema, index: optional(index) },
  removeSwatch: { swatch: id },
  renameSwatch: { swatch: id, name },
  moveSwatch: { swatch: id, index, group: optional(group) },
  renameSwatchGroup: { from: group, to: group },
  arrangeTray: { order: Joi.array().items(place).min(1).max(MOST_SWATCHES) },
  setSwatch: { swatch: id, color },
};
