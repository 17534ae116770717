import Joi from 'joi';
import { incoherenceOf } from './coherence/coherence.ts';
import type { ProjectDocument } from './document.ts';
import { objectOf, type SchemaKeys } from './schema/keys.ts';
import { kindSchemas } from './schema/of-kinds.ts';
import { list } from './schema/parts.ts';
import { isListPart, type ListPart } from './schema/toolbox.ts';
import { DOCUMENT_VERSION } from './version.ts';

/** The schemas of all parts of a document, by name. */
export const partSchemas = Object.assign({}, ...kindSchemas.map(({ parts }) => parts)) as {
  readonly [part: string]: ListPart | Joi.Schema;
};

const schemaOf = (part: ListPart | Joi.Schema): Joi.Schema =>
  isListPart(part) ? list(part.item, part.most).min(part.least) : part;

/** The shape of a document, and its ranges. */
export const documentShape = objectOf<ProjectDocument>({
  version: Joi.valid(DOCUMENT_VERSION),
  ...Object.fromEntries(Object.entries(partSchemas).map(([name, part]) => [name, schemaOf(part)])),
} as unknown as SchemaKeys<ProjectDocument>).required();

/** A project document: its shape, and that its things agree with each other as commands leave them. */
export const documentSchema = documentShape
  .custom((document: ProjectDocument, helpers) => {
    const why = incoherenceOf(document);
    return why === null ? document : helpers.error('document.incoherent', { why });
  })
  .messages({ 'document.incoherent': '{{#why}}' });
