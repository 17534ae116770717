import Joi from 'joi';
import { incoherenceOf } from './coherence.ts';
import { MOST_DECLINED } from './declined/declined-pair.ts';
import { declinedSchema } from './declined/declined-schema.ts';
import { DOCUMENT_VERSION, type ProjectDocument } from './document.ts';
import { MOST_FAMILIES } from './families/family.ts';
import { familySchema } from './families/family-schema.ts';
import { MOST_GRADIENTS } from './gradients/gradient.ts';
import { gradientSchema } from './gradients/gradient-schema.ts';
import { MOST_NOTES } from './notes/note.ts';
import { noteSchema } from './notes/note-schema.ts';
import { MOST_PAIRS } from './pairs/pair.ts';
import { pairSchema } from './pairs/pair-schema.ts';
import { MOST_PICTURES } from './pictures/picture.ts';
import { pictureSchema } from './pictures/picture-schema.ts';
import { groundSchema, projectNameSchema, wordsSchema } from './project/project-schema.ts';
import { MOST_RECIPES } from './recipes/recipe.ts';
import { recipeSchema } from './recipes/recipe-schema.ts';
import { relativesSchema } from './relatives/relatives-schema.ts';
import { MOST_ROLES } from './roles/role.ts';
import { roleSchema } from './roles/role-schema.ts';
import { MOST_ROUNDS } from './rounds/round.ts';
import { roundSchema } from './rounds/round-schema.ts';
import { objectOf } from './schema/keys.ts';
import { list } from './schema/parts.ts';
import { MOST_THEMES } from './themes/theme.ts';
import { themeSchema } from './themes/theme-schema.ts';
import { MOST_SWATCHES } from './tray/swatch.ts';
import { swatchSchema } from './tray/swatch-schema.ts';

/** The shape of a document, and its ranges. */
export const documentShape = objectOf<ProjectDocument>({
  version: Joi.valid(DOCUMENT_VERSION),
  name: projectNameSchema,
  ground: groundSchema,
  words: wordsSchema,
  themes: list(themeSchema, MOST_THEMES).min(1),
  families: list(familySchema, MOST_FAMILIES),
  roles: list(roleSchema, MOST_ROLES),
  pairs: list(pairSchema, MOST_PAIRS),
  declined: list(declinedSchema, MOST_DECLINED),
  gradients: list(gradientSchema, MOST_GRADIENTS),
  tray: list(swatchSchema, MOST_SWATCHES),
  pictures: list(pictureSchema, MOST_PICTURES),
  relatives: relativesSchema,
  rounds: list(roundSchema, MOST_ROUNDS),
  recipes: list(recipeSchema, MOST_RECIPES),
  notes: list(noteSchema, MOST_NOTES),
}).required();

/** A project document: its shape, and that its things agree with each other as commands leave them. */
export const documentSchema = documentShape
  .custom((document: ProjectDocument, helpers) => {
    const why = incoherenceOf(document);
    return why === null ? document : helpers.error('document.incoherent', { why });
  })
  .messages({ 'document.incoherent': '{{#why}}' });
