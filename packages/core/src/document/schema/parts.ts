import Joi from 'joi';
import { parseColor, readColor } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import { MOST_LABEL } from '../limits.ts';
import { faultOfText, MOST_NAME } from '../naming/names.ts';

/** The parts that schemas of the document and its commands are made of. */

// Ids and labels are keys of records, where these names would mean something else.
const RESERVED = Object.getOwnPropertyNames(Object.prototype);

/** Text of one line, up to some number of characters. */
export const text = (most: number) =>
  Joi.string()
    .trim()
    .min(1)
    .max(most)
    .pattern(/^[^\p{Cc}\p{Cs}]*$/u, 'text without control characters')
    .custom((value: string, helpers) => {
      const fault = faultOfText(value);
      return fault ? helpers.error('text.fault', { fault }) : value;
    })
    .messages({ 'text.fault': '{{#label}}: {{#fault}}' });

export const id = Joi.string()
  .pattern(/^[\w-]{1,40}$/, 'id')
  .invalid(...RESERVED);
export const name = text(MOST_NAME);
export const label = text(MOST_LABEL).invalid(...RESERVED);
/** A place in a list. */
export const index = Joi.number().integer().min(0).max(10_000);
/** A colour in any CSS notation; what comes out is its canonical spelling, the only one that documents hold. */
export const color = Joi.string()
  .max(120)
  .custom((value: string, helpers) => {
    const parsed = parseColor(value);
    return parsed.ok ? canonical(parsed.color) : helpers.error('color.unknown');
  })
  .messages({ 'color.unknown': '{{#label}} is not a CSS colour' });
/** A colour that lets nothing through: a base, a ground. */
export const opaqueColor = color
  .custom((value: string, helpers) =>
    readColor(value).alpha === 1 ? value : helpers.error('color.translucent'),
  )
  .messages({ 'color.translucent': '{{#label}} has to be opaque' });
/** A share, 0–1. */
export const share = Joi.number().min(0).max(1);

/** A record of things by id, or by another key. */
export const record = (value: Joi.Schema, most: number, key: Joi.Schema = id) =>
  Joi.object().pattern(key.required(), value.required()).max(most);

/** A list of things, no two with one id. */
export const list = (item: Joi.Schema, most: number) => Joi.array().items(item).max(most).unique('id');
