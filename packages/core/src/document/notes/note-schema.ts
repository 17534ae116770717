import Joi from 'joi';
import { MOST_NAME } from '../names.ts';
import { type CommandSchemas, objectOf, optional, unionOf } from '../schema/keys.ts';
import { id, index, label, text } from '../schema/parts.ts';
import { MOST_NOTE_TEXT, type Note, type Noted } from './note.ts';
import type { NoteChange, NoteCommand } from './note-commands.ts';

const noteText = Joi.string()
  .trim()
  .min(1)
  .max(MOST_NOTE_TEXT)
  .pattern(/^[^\p{Cs}]*$/u, 'text')
  .pattern(/^[^\0]*$/, 'text');

const notedSchema = unionOf<Noted, 'kind'>('kind', {
  shade: { family: id, shade: label },
  base: { family: id },
  swatch: { swatch: id },
  role: { role: id },
  pair: { pair: id },
  gradient: { gradient: id },
});

export const noteSchema = objectOf<Note>({
  id,
  on: notedSchema,
  text: noteText,
  by: text(MOST_NAME).allow(''),
  at: Joi.number().integer().min(0).max(8.64e15),
  settled: Joi.boolean(),
});

export const noteCommandSchemas: CommandSchemas<NoteCommand> = {
  addNote: { note: noteSchema, index: optional(index) },
  removeNote: { note: id },
  setNote: {
    note: id,
    change: objectOf<NoteChange>({ text: optional(noteText), settled: optional(Joi.boolean()) }).min(1),
  },
};
