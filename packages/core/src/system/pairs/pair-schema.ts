import Joi from 'joi';
import type { Target } from '../../contrast/targets.ts';
import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { id, index } from '../schema/parts.ts';
import type { Pair } from './pair.ts';
import type { PairChange, PairCommand } from './pair-commands.ts';

export const targetSchema = objectOf<Target>({
  level: Joi.valid('AA', 'AAA'),
  content: Joi.valid('body', 'large', 'graphics'),
});
const size = Joi.number().min(6).max(200);
const weight = Joi.number().integer().min(100).max(900);

export const pairSchema = objectOf<Pair>({
  id,
  foreground: id,
  background: id,
  target: targetSchema,
  size,
  weight,
});

const change = objectOf<PairChange>({
  foreground: optional(id),
  background: optional(id),
  target: optional(targetSchema),
  size: optional(size),
  weight: optional(weight),
}).min(1);

export const pairCommandSchemas: CommandSchemas<PairCommand> = {
  addPair: { pair: pairSchema, index: optional(index) },
  removePair: { pair: id },
  setPair: { pair: id, change },
};
