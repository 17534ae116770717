import type Joi from 'joi';
import { declinedSchema } from '../declined/declined-schema.ts';
import { DOCUMENT_VERSION, type ProjectDocument } from '../document.ts';
import { documentShape } from '../document-schema.ts';
import { familySchema } from '../families/family-schema.ts';
import { gradientSchema } from '../gradients/gradient-schema.ts';
import { noteSchema } from '../notes/note-schema.ts';
import { pairSchema } from '../pairs/pair-schema.ts';
import { pictureSchema } from '../pictures/picture-schema.ts';
import { wordsSchema } from '../project/project-schema.ts';
import { NO_WORDS } from '../project/sample-words.ts';
import { recipeSchema } from '../recipes/recipe-schema.ts';
import { relativesSchema } from '../relatives/relatives-schema.ts';
import { roleSchema } from '../roles/role-schema.ts';
import { roundSchema } from '../rounds/round-schema.ts';
import { themeSchema } from '../themes/theme-schema.ts';
import { swatchSchema } from '../tray/swatch-schema.ts';
import type { Form } from './form.ts';

const LISTS: Readonly<Record<string, Joi.Schema>> = {
  themes: themeSchema,
  families: familySchema,
  roles: roleSchema,
  pairs: pairSchema,
  declined: declinedSchema,
  gradients: gradientSchema,
  tray: swatchSchema,
  pictures: pictureSchema,
  rounds: roundSchema,
  recipes: recipeSchema,
  notes: noteSchema,
};

/** What of a thing is known here; undefined when it is of no form that is. */
const known = (schema: Joi.Schema, value: unknown): unknown => {
  const result = schema.validate(value, { stripUnknown: true, convert: false });
  return result.error ? undefined : result.value;
};

/**
 * What can be read of a document of a later version, to look at: the things whose form is as it is now. Null when
 * that is not enough to show, as without a theme.
 */
export function readLater(stored: unknown): ProjectDocument | null {
  if (typeof stored !== 'object' || stored === null) return null;
  const later = stored as Form;
  const lists = Object.entries(LISTS).map(([name, schema]) => {
    const items = Array.isArray(later[name]) ? later[name] : [];
    return [name, items.flatMap((item) => known(schema, item) ?? [])] as const;
  });
  const ground = typeof later.ground === 'string' ? later.ground : null;
  const relatives = known(relativesSchema, later.relatives) ?? { source: null, rows: [] };
  const document = {
    version: DOCUMENT_VERSION,
    name: later.name,
    ground,
    words: known(wordsSchema, later.words) ?? NO_WORDS,
    relatives,
    ...Object.fromEntries(lists),
  };
  const result = documentShape.validate(document);
  return result.error || !result.value.themes.length ? null : (result.value as ProjectDocument);
}
