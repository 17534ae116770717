import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import {
  type FreeFamily,
  MOST_FREE,
  MOST_KEPT,
  MOST_PROPOSED,
  MOST_ROUNDS,
  MOST_SEED,
  type Round,
  WAYS,
} from './round.ts';
import type { RoundCommand } from './round-commands.ts';

export function roundSchemas(parts: SchemaParts): KindSchemas<{ rounds: readonly Round[] }, RoundCommand> {
  const { Joi, objectOf, optional, id, index, opaqueColor, share } = parts;
  const roundSchema = objectOf<Round>({
    id,
    seed: Joi.number().integer().min(0).max(MOST_SEED),
    count: Joi.number().integer().min(3).max(MOST_PROPOSED),
    stray: share,
    kept: Joi.array().items(opaqueColor).max(MOST_KEPT),
    free: Joi.array()
      .items(objectOf<FreeFamily>({ family: id, base: opaqueColor }))
      .max(MOST_FREE)
      .unique('family'),
    way: Joi.valid(...WAYS),
    of: Joi.array().items(Joi.array().items(opaqueColor).max(MOST_PROPOSED)).max(2),
  });

  const roundCommandSchemas: CommandSchemas<RoundCommand> = {
    addRound: { round: roundSchema, index: optional(index) },
    removeRound: { round: id },
  };

  return { parts: { rounds: parts.listOf(roundSchema, MOST_ROUNDS) }, commands: roundCommandSchemas };
}
