import Joi from 'joi';
import type { DrawnStep } from '../../family/drawn.ts';
import type { Growth } from '../../family/grow.ts';
import { type Following, MOST_TINT } from '../links/following.ts';
import type { GrowthGround } from '../links/growth-ground.ts';
import { type CommandSchemas, objectOf, optional, unionOf } from '../schema/keys.ts';
import { color, id, index, label, name, opaqueColor, record, share } from '../schema/parts.ts';
import { type Family, LEAST_SHADES, MOST_HAND_SET, MOST_SHADES } from './family.ts';
import type { FamilyCommand } from './family-commands.ts';

const labels = Joi.array().items(label).min(LEAST_SHADES).max(MOST_SHADES).unique();

/** Steps of lightness, each below the one before. */
const steps = Joi.array()
  .items(
    objectOf<DrawnStep>({
      lightness: share,
      chroma: Joi.number().min(0).max(10),
      turn: Joi.number().min(-180).max(180),
    }),
  )
  .length(Joi.ref('labels.length'))
  .custom((list: DrawnStep[], helpers) =>
    list.every(({ lightness }, i) => i === 0 || lightness < list[i - 1]!.lightness)
      ? list
      : helpers.error('steps.falling'),
  )
  .messages({ 'steps.falling': 'the lightness of {{#label}} has to fall, from each step to the next' });

const growthOn = (ground: Joi.Schema) =>
  unionOf<Growth<unknown>, 'kind'>('kind', {
    lightness: {
      labels,
      lightest: Joi.number().min(0.5).max(1),
      darkest: Joi.number().min(0).max(0.5),
      curve: Joi.number().min(-1).max(1),
      endChroma: Joi.number().min(0).max(1.5),
      hueDrift: Joi.number().min(-60).max(60),
    },
    drawn: { labels, steps },
    mix: { labels, towards: Joi.valid('white', 'black', 'grey'), reach: share },
    opacity: { labels, ground, least: share },
    contrast: {
      labels,
      ground,
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

const groundSchema = unionOf<GrowthGround, 'to'>('to', {
  color: { color: opaqueColor },
  shade: { family: id, shade: label },
  base: { family: id },
  role: { role: id, theme: id },
});

/** How a family of a project grows. */
export const growthSchema = growthOn(groundSchema);
/** A growth with nothing of a project in it. */
export const plainGrowthSchema = growthOn(opaqueColor);

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

export const familySchema = objectOf<Family>({
  id,
  name,
  base: opaqueColor,
  follows: followsSchema.allow(null),
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
  setFollows: { family: id, follows: followsSchema.allow(null) },
  setShade: { family: id, shade: label, color: color.allow(null), gone: optional(Joi.valid(true)) },
};
