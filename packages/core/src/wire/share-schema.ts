import Joi from 'joi';
import type { SimpleCommand } from '../document/commands/command.ts';
import { simpleCommandSchema } from '../document/commands/command-schema.ts';
import { MOST_NAME } from '../document/naming/names.ts';
import { noteSchemas } from '../document/notes/note-schema.ts';
import { objectOf, unionOf } from '../document/schema/keys.ts';
import { id, name } from '../document/schema/parts.ts';
import { schemaParts } from '../document/schema/toolbox.ts';
import { MOST_PASSPHRASE } from './people.ts';
import { personName } from './people-schema.ts';
import {
  LEAST_SHARE_PASSPHRASE,
  LONGEST_SHARE_DAYS,
  MOST_PROPOSAL_WORDS,
  MOST_PROPOSED,
  type NewProposal,
  type NewShare,
  NOTED,
  PROPOSED,
  type ShareChange,
  type SharedAnswer,
  type SharedNote,
  type ShareSubject,
  TRIED,
} from './shares.ts';

const DAY_MS = 24 * 60 * 60 * 1000;

const subject = unionOf<ShareSubject, 'kind'>('kind', {
  project: {},
  scene: { scene: id },
  report: {},
  gradient: { gradient: id },
  family: { family: id },
  tray: { group: Joi.string().max(MOST_NAME).allow('', null) },
  set: { set: id },
  css: {},
}).required();

const endsAt = Joi.string()
  .isoDate()
  .custom((value: string, helpers) => {
    const left = Date.parse(value) - Date.now();
    return left > 0 && left < LONGEST_SHARE_DAYS * DAY_MS ? value : helpers.error('share.end');
  })
  .messages({ 'share.end': 'A share ends later than now, and within five years.' });

const ALLOWED = [
  ['tries', TRIED, 'Only a project or a scene can be tried on.'],
  ['notes', NOTED, 'Notes cannot be pinned to this.'],
] as const;

/** A share as it is made. */
export const newShareSchema: Joi.ObjectSchema<NewShare> = objectOf<NewShare>({
  name,
  subject,
  revision: Joi.number().integer().min(0).allow(null),
  tries: Joi.boolean(),
  notes: Joi.boolean(),
  endsAt,
  passphrase: Joi.string()
    .min(LEAST_SHARE_PASSPHRASE)
    .max(MOST_PASSPHRASE)
    .allow(null)
    .messages({ 'string.min': `A share's passphrase has at least ${LEAST_SHARE_PASSPHRASE} letters.` }),
})
  .custom((share: NewShare, helpers) => {
    const wrong = ALLOWED.find(([way, kinds]) => share[way] && !kinds.includes(share.subject.kind));
    if (share.subject.kind === 'css' && share.passphrase !== null)
      // A page of elsewhere is asked by a browser that sends no key along.
      return helpers.message({ custom: 'A live style sheet cannot have a passphrase.' });
    return wrong ? helpers.message({ custom: wrong[2] }) : share;
  })
  .required();

export const shareChangeSchema: Joi.ObjectSchema<ShareChange> = Joi.object({
  name: name.optional(),
  endsAt: endsAt.optional(),
})
  .min(1)
  .required();

const note = noteSchemas(schemaParts).commands.addNote.note as Joi.ObjectSchema;

/** A note of somebody who has a share. */
export const sharedNoteSchema: Joi.ObjectSchema<SharedNote> = objectOf<SharedNote>({
  by: personName,
  on: note.extract('on'),
  text: note.extract('text'),
}).required();

export const sharedAnswerSchema: Joi.ObjectSchema<SharedAnswer> = objectOf<SharedAnswer>({
  by: personName,
  text: note.extract('text'),
}).required();

const proposed = simpleCommandSchema.custom((command: SimpleCommand, helpers) =>
  (PROPOSED as readonly string[]).includes(command.type) ? command : helpers.error('proposal.command'),
);

/** A proposal as it is sent back. */
export const newProposalSchema: Joi.ObjectSchema<NewProposal> = objectOf<NewProposal>({
  by: personName,
  words: Joi.string()
    .trim()
    .max(MOST_PROPOSAL_WORDS)
    .pattern(/^[^\0]*$/, 'text')
    .allow(''),
  revision: Joi.number().integer().min(0),
  commands: Joi.array().items(proposed).min(1).max(MOST_PROPOSED),
})
  .messages({ 'proposal.command': 'A proposal changes bases and links.' })
  .required();

/** The words that open a share. */
export const unlockSchema = Joi.object({
  passphrase: Joi.string().min(1).max(MOST_PASSPHRASE).required(),
}).required();
