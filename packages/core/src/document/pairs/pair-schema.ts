import type { Area } from '../../gradient/area.ts';
import type { KindSchemas } from '../kind.ts';
import { MOST_PIXELS, MOST_REASON, MOST_WORDS } from '../limits.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { type Backdrop, LONGEST_BOX } from './backdrop.ts';
import { EXEMPT_USES, type Exemption, MOST_PAIRS, type Pair } from './pair.ts';
import type { PairChange, PairCommand } from './pair-commands.ts';

export function pairSchemas(parts: SchemaParts): KindSchemas<{ pairs: readonly Pair[] }, PairCommand> {
  const { Joi, objectOf, optional, unionOf, id, index, target, text } = parts;
  const size = Joi.number().min(6).max(200);
  const weight = Joi.number().integer().min(100).max(900);

  const reasonSchema = text(MOST_REASON);
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

  const pairSchema = objectOf<Pair>({
    id,
    foreground: id,
    background: id,
    target,
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
    target: optional(target),
    size: optional(size),
    weight: optional(weight),
    words: optional(wordsSchema.allow(null)),
    exempt: optional(exempt.allow(null)),
    backdrop: optional(
      Joi.alternatives().conditional('.', { is: null, then: Joi.valid(null), otherwise: backdrop }),
    ),
    veil: optional(id.allow(null)),
  }).min(1);

  const pairCommandSchemas: CommandSchemas<PairCommand> = {
    addPair: { pair: pairSchema, index: optional(index) },
    removePair: { pair: id },
    setPair: { pair: id, change },
  };

  return { parts: { pairs: parts.listOf(pairSchema, MOST_PAIRS) }, commands: pairCommandSchemas };
}
