import Joi from 'joi';
import { drawing } from './drawing.ts';
import { growth } from './growth.ts';
import { objectOf, optional, unionOf } from './keys.ts';
import { link, roleLink } from './links.ts';
import { color, id, index, label, list, name, opaqueColor, record, share, text } from './parts.ts';
import { target } from './targets.ts';

/** A list of things in a document: the schema of one, and how many there may be. */
export interface ListPart {
  readonly item: Joi.Schema;
  readonly most: number;
  readonly least: number;
}

const listOf = (item: Joi.Schema, most: number, least = 0): ListPart => ({ item, most, least });

/** What the schemas of all kinds of things are made of. */
export const schemaParts = {
  Joi,
  objectOf,
  optional,
  unionOf,
  listOf,
  color,
  drawing,
  growth,
  id,
  index,
  label,
  link,
  list,
  name,
  opaqueColor,
  record,
  roleLink,
  share,
  target,
  text,
};

export type SchemaParts = typeof schemaParts;

export const isListPart = (part: ListPart | Joi.Schema): part is ListPart => 'item' in part;
