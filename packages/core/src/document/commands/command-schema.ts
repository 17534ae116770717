import Joi from 'joi';
import { type CommandSchemas, objectOf, unionOf } from '../schema/keys.ts';
import { kindSchemas } from '../schema/of-kinds.ts';
import { text } from '../schema/parts.ts';
import { MOST_IN_BATCH, type SimpleCommand } from './command.ts';
import type { Batch } from './definition.ts';

const SCHEMAS = Object.assign(
  {},
  ...kindSchemas.map(({ commands }) => commands),
) as CommandSchemas<SimpleCommand>;

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
