import Joi from 'joi';
import type { Growth } from '../../family/grow.ts';
import { type CommandSchemas, objectOf, optional, unionOf } from '../schema/keys.ts';
import { color, id, index, label, name, opaqueColor, record, share } from '../schema/parts.ts';
import { type Family, LEAST_SHADES, MOST_HAND_SET, MOST_SHADES } from './family.ts';
import type { FamilyCommand } from './family-commands.ts';

const labels = Joi.array().items(label).min(LEAST_SHADES).max(MOST_SHADES).unique();

const growthSchema = unionOf<Growth, 'kind'>('kind', {
  lightness: {
    labels,
    lightest: Joi.number().min(0.5).max(1),
    darkest: Joi.number().min(0).max(0.5),
    curve: Joi.number().min(-1).max(1),
    endChroma: Joi.number().min(0).max(1.5),
    hueDrift: Joi.number().min(-60).max(60),
  },
  mix: { labels, towards: Joi.valid('white', 'black', 'grey'), reach: share },
  opacity: { labels, ground: opaqueColor, least: share },
  contrast: {
    labels,
    ground: opaqueColor,
    ratios: Joi.array()
      .items(Joi.number().min(1).max(21))
      .length(Joi.ref('labels.length'))
      .custom((ratios: number[], helpers) =>
        ratios.every((ratio, i) => i === 0 || ratio > ratios[i - 1]!)
          ? ratios
          : helpers.error('ratios.rising'),
      )
      .messages({ 'ratios.rising': '{{#label}} have to rise, each above the one before' }),
  },
});

export const familySchema = objectOf<Family>({
  id,
  name,
  base: opaqueColor,
  growth: growthSchema,
  handSet: record(color, MOST_HAND_SET, label),
});

export const familyCommandSchemas: CommandSchemas<FamilyCommand> = {
  addFamily: { family: familySchema, index: optional(index) },
  removeFamily: { family: id },
  renameFamily: { family: id, name },
  moveFamily: { family: id, index },
  setBase: { family: id, color: opaqueColor },
  setGrowth: { family: id, growth: growthSchema },
  setShade: { family: id, shade: label, color: color.allow(null), gone: optional(Joi.valid(true)) },
};
