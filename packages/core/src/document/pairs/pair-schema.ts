import Joi from 'joi';
import type { Target } from '../../contrast/targets.ts';
import type { Area } from '../../gradient/area.ts';
import { MOST_PIXELS } from '../pictures/picture.ts';
import { type CommandSchemas, objectOf, optional, unionOf } from '../schema/keys.ts';
import { id, index, text } from '../schema/parts.ts';
import { type Backdrop, LONGEST_BOX } from './backdrop.ts';
import { EXEMPT_USES, type Exemption, MOST_REASON, MOST_WORDS, type Pair } from './pair.ts';
import type { PairChange, PairCommand } from './pair-commands.ts';

export const targetSchema = objectOf<Target>({
  level: Joi.valid('AA', 'AAA'),
  content: Joi.valid('body', 'large', 'graphics'),
});
const size = Joi.number().min(6).max(200);
const weight = Joi.number().integer().min(100).max(900);

export const reasonSchema = text(MOST_REASON);
const wordsSchema = text(MOST_WORDS);
const exempt = objectOf<Exemption>({ as: Joi.valid(...EXEMPT_USES), reason: reasonSchema });
const px = Joi.number().integer().min(0).max(MOST_PIXELS);
const side = Joi.number().integer().min(1).max(MOST_PIXELS);
const area = objectOf<Area>({ x: px, y: px, width: side, height: side });
const boxSide = Joi.number().integer().min(1).max(LONGEST_BOX);
const backdrop = unionOf<Backdrop, 'kind'>('kind', {
  gradient: { gradient: id, width: boxSide, height: boxSide, text: area },
  picture: { picture: id, text: area },
});

export const pairSchema = objectOf<Pair>({
  id,
  foreground: id,
  background: id,
  target: targetSchema,
  size,
  weight,
  words: optional(wordsSchema),
  exempt: optional(exempt),
  backdrop: optional(backdrop),
  veil: optional(id),
});

const change = objectOf<PairChange>({
  foreground: optional(id),
  background: optional(id),
  target: optional(targetSchema),
  size: optional(size),
  weight: optional(weight),
  words: optional(wordsSchema.allow(null)),
  exempt: optional(exempt.allow(null)),
  backdrop: optional(
    Joi.alternatives().conditional('.', { is: null, then: Joi.valid(null), otherwise: backdrop }),
  ),
  veil: optional(id.allow(null)),
}).min(1);

export const pairCommandSchemas: CommandSchemas<PairCommand> = {
  addPair: { pair: pairSchema, index: optional(index) },
  removePair: { pair: id },
  setPair: { pair: id, change },
};
