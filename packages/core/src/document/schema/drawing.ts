import Joi from 'joi';
import { cleanSvg } from '../../svg/clean-svg.ts';

/** A drawing as it comes from cleaning, and nothing else: it is shown to others. */
export const drawing = Joi.string()
  .custom((value: string, helpers) => {
    const cleaned = cleanSvg(value);
    return cleaned.ok && cleaned.svg === value ? value : helpers.error('svg.unclean');
  })
  .messages({ 'svg.unclean': '{{#label}} is no drawing that was cleaned' });
