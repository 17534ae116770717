import type { KindSchemas } from '../kind.ts';
import { MOST_NAME } from '../naming/names.ts';
import type { Noted } from '../naming/note-name.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { MOST_ANSWERS, MOST_MENTIONS, MOST_NOTE_TEXT, MOST_NOTES, type Note, type Said } from './note.ts';
import type { NoteChange, NoteCommand } from './note-commands.ts';

export function noteSchemas(parts: SchemaParts): KindSchemas<{ notes: readonly Note[] }, NoteCommand> {
  const { Joi, objectOf, optional, unionOf, id, index, label, list, text } = parts;
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
    theme: { theme: id },
    scene: { scene: id },
    project: {},
  });

  const mentions = optional(Joi.array().items(id).min(1).max(MOST_MENTIONS).unique());
  const saidFields = {
    id,
    text: noteText,
    author: optional(id),
    by: text(MOST_NAME).allow(''),
    at: Joi.number().integer().min(0).max(8.64e15),
    mentions,
  };
  const answerSchema = objectOf<Said>(saidFields);

  const noteSchema = objectOf<Note>({
    ...saidFields,
    on: notedSchema,
    settled: Joi.boolean(),
    forClient: optional(Joi.valid(true)),
    answers: list(answerSchema, MOST_ANSWERS),
  });

  const noteCommandSchemas: CommandSchemas<NoteCommand> = {
    addNote: { note: noteSchema, index: optional(index) },
    removeNote: { note: id },
    setNote: {
      note: id,
      change: objectOf<NoteChange>({
        text: optional(noteText),
        mentions,
        settled: optional(Joi.boolean()),
        forClient: optional(Joi.boolean()),
      })
        .min(1)
        .with('mentions', 'text'),
    },
    answerNote: { note: id, answer: answerSchema, index: optional(index) },
    removeAnswer: { note: id, answer: id },
    setAnswer: { note: id, answer: id, text: noteText, mentions },
  };

  return { parts: { notes: parts.listOf(noteSchema, MOST_NOTES) }, commands: noteCommandSchemas };
}
