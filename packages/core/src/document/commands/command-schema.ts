import Joi from 'joi';
import { declinedCommandSchemas } from '../declined/declined-schema.ts';
import { familyCommandSchemas } from '../families/family-schema.ts';
import { gradientCommandSchemas } from '../gradients/gradient-schema.ts';
import { noteCommandSchemas } from '../notes/note-schema.ts';
import { pairCommandSchemas } from '../pairs/pair-schema.ts';
import { pictureCommandSchemas } from '../pictures/picture-schema.ts';
import { projectCommandSchemas } from '../project/project-schema.ts';
import { recipeCommandSchemas } from '../recipes/recipe-schema.ts';
import { relativesCommandSchemas } from '../relatives/relatives-schema.ts';
import { roleCommandSchemas } from '../roles/role-schema.ts';
import { roundCommandSchemas } from '../rounds/round-schema.ts';
import { type CommandSchemas, objectOf, unionOf } from '../schema/keys.ts';
import { text } from '../schema/parts.ts';
import { themeCommandSchemas } from '../themes/theme-schema.ts';
import { swatchCommandSchemas } from '../tray/swatch-schema.ts';
import { MOST_IN_BATCH, type SimpleCommand } from './command.ts';
import type { Batch } from './definition.ts';

const SCHEMAS: CommandSchemas<SimpleCommand> = {
  ...projectCommandSchemas,
  ...themeCommandSchemas,
  ...familyCommandSchemas,
  ...roleCommandSchemas,
  ...pairCommandSchemas,
  ...declinedCommandSchemas,
  ...gradientCommandSchemas,
  ...swatchCommandSchemas,
  ...pictureCommandSchemas,
  ...relativesCommandSchemas,
  ...roundCommandSchemas,
  ...recipeCommandSchemas,
  ...noteCommandSchemas,
};

/** A command that is no batch. */
export const simpleCommandSchema = unionOf<SimpleCommand, 'type'>('type', SCHEMAS).required();

const batchOf = (commands: Joi.ArraySchema) =>
  objectOf<Batch<SimpleCommand>>({
    type: Joi.valid('batch'),
    label: text(200),
    commands: commands.max(MOST_IN_BATCH),
  });

/** A batch whose commands are still to be checked, by {@link simpleCommandSchema}. */
export const batchFrameSchema = batchOf(Joi.array());

/** A command: its shape and ranges. Whether it fits a document is for the command to say. A batch holds no batches. */
export const commandSchema = unionOf<SimpleCommand, 'type'>('type', SCHEMAS, {
  batch: batchOf(Joi.array().items(simpleCommandSchema.optional())),
}).required();
