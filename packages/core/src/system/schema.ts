import Joi from 'joi';
import { isColorText } from '../color/parse.ts';
import type { Growth } from '../family/grow.ts';
import { LIMITS } from './document.ts';

/** Joi schemas of the document and its commands: shape and ranges. What refers to what is the commands' concern. */

// Ids and labels are keys of records, where these names would mean something else.
const RESERVED = Object.getOwnPropertyNames(Object.prototype);
const text = (most: number) =>
  Joi.string()
    .trim()
    .min(1)
    .max(most)
    .pattern(/^[^\p{Cc}\p{Cs}]*$/u, 'text without control characters');
const id = Joi.string()
  .pattern(/^[\w-]{1,40}$/, 'id')
  .invalid(...RESERVED)
  .required();
const name = text(LIMITS.name).required();
const path = text(LIMITS.name).required();
const label = text(24).invalid(...RESERVED);
const index = Joi.number().integer().min(0).max(10_000);
const color = Joi.string()
  .max(120)
  .custom((value: string, helpers) => (isColorText(value) ? value : helpers.error('color.unknown')))
  .messages({ 'color.unknown': '{{#label}} is not a CSS colour' })
  .required();
const opacity = Joi.number().min(0).max(1);
const record = (value: Joi.Schema, most: number, key: Joi.Schema = id) =>
  Joi.object().pattern(key, value).max(most).required();

export const linkSchema = Joi.alternatives().conditional('.to', {
  switch: [
    { is: 'shade', then: Joi.object({ to: 'shade', family: id, shade: label.required(), opacity }) },
    { is: 'role', then: Joi.object({ to: 'role', role: id, opacity }) },
    { is: 'color', then: Joi.object({ to: 'color', color, opacity }) },
  ],
  otherwise: Joi.object({ to: Joi.valid('shade', 'role', 'color').required() }).unknown(),
});
const link = linkSchema.required();

const theme = Joi.object({ id, name }).required();
const labels = Joi.array().items(label).min(3).max(LIMITS.shades).unique().required();
const part = Joi.number().min(0).max(1).required();
const growthOf = (kind: Growth['kind'], keys: Joi.PartialSchemaMap) => ({
  is: kind,
  // The kind itself is known here; what else there may be is said by the last one.
  then: Joi.object({ kind: Joi.valid(kind).required(), labels, ...keys }),
});
const growth = Joi.alternatives()
  .conditional('.kind', {
    switch: [
      growthOf('lightness', {
        lightest: Joi.number().min(0.5).max(1).required(),
        darkest: Joi.number().min(0).max(0.5).required(),
        curve: Joi.number().min(-1).max(1).required(),
        endChroma: Joi.number().min(0).max(1.5).required(),
        hueDrift: Joi.number().min(-60).max(60).required(),
      }),
      growthOf('mix', { towards: Joi.valid('white', 'black', 'grey').required(), reach: part }),
      growthOf('opacity', { ground: color, least: part }),
      growthOf('contrast', {
        ground: color,
        ratios: Joi.array().items(Joi.number().min(1).max(21)).length(Joi.ref('labels.length')).required(),
      }),
    ],
    otherwise: Joi.object({
      kind: Joi.valid('lightness', 'mix', 'opacity', 'contrast').required(),
    }).unknown(),
  })
  .required();
const family = Joi.object({
  id,
  name,
  base: color,
  growth,
  handSet: record(color, 100, label),
}).required();
const role = Joi.object({ id, path, links: record(link, LIMITS.themes) }).required();
const target = Joi.object({
  level: Joi.valid('AA', 'AAA').required(),
  content: Joi.valid('body', 'large', 'graphics').required(),
});
const size = Joi.number().min(6).max(200);
const weight = Joi.number().integer().min(100).max(900);
const pair = Joi.object({
  id,
  foreground: id,
  background: id,
  target: target.required(),
  size: size.required(),
  weight: weight.required(),
}).required();
const position = Joi.number().min(0).max(100).required();
const stop = Joi.object({ id, position, link }).required();
const angle = Joi.number().min(0).max(360);
const space = Joi.valid('srgb', 'srgb-linear', 'oklab', 'lab');
const gradient = Joi.object({
  id,
  name,
  kind: Joi.valid('linear').required(),
  angle: angle.required(),
  space: space.required(),
  stops: Joi.array().items(stop.optional()).min(2).max(LIMITS.stops).required(),
}).required();
const swatch = Joi.object({ id, name, color }).required();
const list = (item: Joi.Schema, most: number) =>
  Joi.array().items(item.optional()).max(most).unique('id').required();

/** A project's name. */
export const projectNameSchema = name;

/** A project document. */
export const documentSchema = Joi.object({
  version: Joi.valid(1).required(),
  name,
  ground: id.allow(null),
  themes: list(theme, LIMITS.themes),
  families: list(family, LIMITS.families),
  roles: list(role, LIMITS.roles),
  pairs: list(pair, LIMITS.pairs),
  gradients: list(gradient, LIMITS.gradients),
  tray: list(swatch, LIMITS.tray),
}).required();

const COMMANDS: Record<string, Joi.PartialSchemaMap> = {
  renameProject: { name },
  setGround: { role: id.allow(null) },
  addTheme: { theme, index, links: record(link, LIMITS.roles) },
  removeTheme: { theme: id },
  renameTheme: { theme: id, name },
  moveTheme: { theme: id, index: index.required() },
  addFamily: { family, index },
  removeFamily: { family: id },
  renameFamily: { family: id, name },
  moveFamily: { family: id, index: index.required() },
  setBase: { family: id, color },
  setGrowth: { family: id, growth },
  setShade: { family: id, shade: label.required(), color: color.allow(null) },
  addRole: { role, index },
  removeRole: { role: id },
  renameRole: { role: id, path },
  renameRoleGroup: { from: path, to: path },
  moveRole: { role: id, index: index.required() },
  setLink: { role: id, theme: id, link: link.allow(null) },
  addPair: { pair, index },
  removePair: { pair: id },
  setPair: {
    pair: id,
    change: Joi.object({ foreground: id.optional(), background: id.optional(), target, size, weight })
      .min(1)
      .required(),
  },
  addGradient: { gradient, index },
  removeGradient: { gradient: id },
  renameGradient: { gradient: id, name },
  setGradient: { gradient: id, change: Joi.object({ angle, space }).min(1).required() },
  addStop: { gradient: id, stop, index },
  removeStop: { gradient: id, stop: id },
  moveStop: { gradient: id, stop: id, position, index },
  linkStop: { gradient: id, stop: id, link },
  addSwatch: { swatch, index },
  removeSwatch: { swatch: id },
  renameSwatch: { swatch: id, name },
  moveSwatch: { swatch: id, index: index.required() },
  setSwatch: { swatch: id, color },
};

const typed = (type: string, keys: Joi.PartialSchemaMap) => Joi.object({ type: Joi.valid(type), ...keys });
const simple = Object.entries(COMMANDS).map(([type, keys]) => ({ is: type, then: typed(type, keys) }));
// Reached only by a command of no known type, to say which types there are.
const unknownType = (...more: readonly string[]) =>
  Joi.object({ type: Joi.valid(...Object.keys(COMMANDS), ...more).required() }).unknown();
const simpleCommand = Joi.alternatives().conditional('.type', {
  switch: [...simple, { is: 'batch', then: Joi.forbidden() }],
  otherwise: unknownType(),
});

/** A command, as the server accepts it. A batch holds no batches. */
export const commandSchema = Joi.alternatives()
  .conditional('.type', {
    switch: [
      ...simple,
      {
        is: 'batch',
        then: typed('batch', {
          label: text(200).required(),
          commands: Joi.array().items(simpleCommand).max(LIMITS.batch).required(),
        }),
      },
    ],
    otherwise: unknownType('batch'),
  })
  .required();
