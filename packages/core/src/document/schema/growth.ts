import Joi from 'joi';
import type { DrawnStep } from '../../family/drawn.ts';
import type { Growth } from '../../family/grow.ts';
import { LEAST_SHADES, MOST_SHADES } from '../limits.ts';
import { objectOf, unionOf } from './keys.ts';
import { growthGround } from './links.ts';
import { label, opaqueColor, share } from './parts.ts';

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

/** How a family of a project grows. */
export const growth = growthOn(growthGround);
/** A growth with nothing of a project in it. */
export const plainGrowth = growthOn(opaqueColor);
