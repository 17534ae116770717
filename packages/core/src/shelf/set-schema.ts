import Joi from 'joi';
import { MOST_HAND_SET } from '../document/families/family.ts';
import { plainGrowth } from '../document/schema/growth.ts';
import { objectOf, unionOf } from '../document/schema/keys.ts';
import { color, label, name, opaqueColor, record, text } from '../document/schema/parts.ts';
import { readGradient } from '../gradient/read-css.ts';
import {
  MOST_PALETTE,
  MOST_SET_COLORS,
  MOST_SET_CSS,
  MOST_WORDS,
  type NewSet,
  type PaletteEntry,
  type SetContent,
} from './shelf-set.ts';

const gradientCss = Joi.string()
  .max(8000)
  .custom((value: string, helpers) => (readGradient(value).ok ? value : helpers.error('gradient.unreadable')))
  .messages({ 'gradient.unreadable': '{{#label}} is not a CSS gradient of plain colours' });

const contentSchema = unionOf<SetContent, 'kind'>('kind', {
  palette: {
    colors: Joi.array().items(objectOf<PaletteEntry>({ name, color })).min(1).max(MOST_PALETTE),
  },
  family: {
    base: opaqueColor,
    growth: plainGrowth,
    handSet: record(color, MOST_HAND_SET, label),
  },
  gradient: { css: gradientCss },
  system: { css: Joi.string().min(1).max(MOST_SET_CSS) },
});

/** A set as it is given to the shelf. */
export const newSetSchema = objectOf<NewSet>({
  name,
  words: text(MOST_WORDS).allow(''),
  content: contentSchema.required(),
  colors: Joi.array().items(opaqueColor).min(1).max(MOST_SET_COLORS),
}).required();
