import { RELATIONS } from '../../harmony/relations.ts';
import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { MOST_MEMBERS, type RelationRow, type Relatives, type Shift } from './relatives.ts';
import type { RelativesCommand } from './relatives-commands.ts';

export function relativesSchemas(
  parts: SchemaParts,
): KindSchemas<{ relatives: Relatives }, RelativesCommand> {
  const { Joi, objectOf, opaqueColor } = parts;
  const relation = Joi.valid(...RELATIONS);

  const shift = objectOf<Shift>({
    turn: Joi.number().min(-360).max(360),
    lightness: Joi.number().min(-1).max(1),
    chroma: Joi.number().min(-0.5).max(0.5),
  });

  const row = objectOf<RelationRow>({
    relation,
    count: Joi.number().integer().min(2).max(12),
    angle: Joi.number().min(1).max(90),
    own: Joi.array().items(shift).max(MOST_MEMBERS),
    showsOwn: Joi.boolean(),
  });

  const relativesSchema = objectOf<Relatives>({
    source: opaqueColor.allow(null),
    rows: Joi.array().items(row).max(RELATIONS.length).unique('relation').sort({ by: 'relation' }),
  });

  const relativesCommandSchemas: CommandSchemas<RelativesCommand> = {
    setRelativesSource: { color: opaqueColor.allow(null) },
    setRelation: { relation, row: row.allow(null) },
  };

  return { parts: { relatives: relativesSchema }, commands: relativesCommandSchemas };
}
