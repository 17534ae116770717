import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { MOST_SWATCHES, type Swatch } from './swatch.ts';
import type { SwatchCommand, SwatchPlace } from './swatch-commands.ts';

export function swatchSchemas(parts: SchemaParts): KindSchemas<{ tray: readonly Swatch[] }, SwatchCommand> {
  const { Joi, objectOf, optional, color, id, index, name } = parts;
  const group = name.allow('');
  /** Up to the year 5138. */
  const time = Joi.number().integer().min(0).max(1e14);

  const swatchSchema = objectOf<Swatch>({ id, name, color, group, added: time });
  const place = objectOf<SwatchPlace>({ swatch: id, group });

  const swatchCommandSchemas: CommandSchemas<SwatchCommand> = {
    addSwatch: { swatch: swatchSchema, index: optional(index) },
    removeSwatch: { swatch: id },
    renameSwatch: { swatch: id, name },
    moveSwatch: { swatch: id, index, group: optional(group) },
    renameSwatchGroup: { from: group, to: group },
    arrangeTray: { order: Joi.array().items(place).min(1).max(MOST_SWATCHES) },
    setSwatch: { swatch: id, color },
  };

  return { parts: { tray: parts.listOf(swatchSchema, MOST_SWATCHES) }, commands: swatchCommandSchemas };
}
