import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { color, id, index, name } from '../schema/parts.ts';
import type { Swatch } from './swatch.ts';
import type { SwatchCommand } from './swatch-commands.ts';

export const swatchSchema = objectOf<Swatch>({ id, name, color });

export const swatchCommandSchemas: CommandSchemas<SwatchCommand> = {
  addSwatch: { swatch: swatchSchema, index: optional(index) },
  removeSwatch: { swatch: id },
  renameSwatch: { swatch: id, name },
  moveSwatch: { swatch: id, index },
  setSwatch: { swatch: id, color },
};
