import type { KindSchemas } from '../kind.ts';
import { type Following, MOST_TINT } from '../links/following.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { type Family, MOST_FAMILIES, MOST_HAND_SET } from './family.ts';
import type { FamilyCommand } from './family-commands.ts';

export function familySchemas(
  parts: SchemaParts,
): KindSchemas<{ families: readonly Family[] }, FamilyCommand> {
  const {
    Joi,
    objectOf,
    optional,
    unionOf,
    color,
    growth,
    id,
    index,
    label,
    name,
    opaqueColor,
    record,
    share,
  } = parts;
  const followsSchema = unionOf<Following, 'by'>('by', {
    turn: {
      family: id,
      turn: Joi.number().min(-180).max(180),
      lightness: Joi.number().min(-1).max(1),
      chroma: Joi.number().min(-0.5).max(0.5),
    },
    between: { family: id, other: id, share },
    tint: { family: id, chroma: Joi.number().min(0).max(MOST_TINT) },
  });

  const familySchema = objectOf<Family>({
    id,
    name,
    base: opaqueColor,
    follows: followsSchema.allow(null),
    growth,
    handSet: record(color, MOST_HAND_SET, label),
  });

  const familyCommandSchemas: CommandSchemas<FamilyCommand> = {
    addFamily: { family: familySchema, index: optional(index) },
    removeFamily: { family: id },
    renameFamily: { family: id, name },
    moveFamily: { family: id, index },
    setBase: { family: id, color: opaqueColor },
    setGrowth: { family: id, growth },
    setFollows: { family: id, follows: followsSchema.allow(null) },
    setShade: { family: id, shade: label, color: color.allow(null), gone: optional(Joi.valid(true)) },
  };

  return { parts: { families: parts.listOf(familySchema, MOST_FAMILIES) }, commands: familyCommandSchemas };
}
