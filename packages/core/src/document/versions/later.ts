import type Joi from 'joi';
import { emptyDocument, type ProjectDocument } from '../document.ts';
import { documentShape, partSchemas } from '../document-schema.ts';
import { isListPart } from '../schema/toolbox.ts';
import { DOCUMENT_VERSION } from '../version.ts';
import type { Stored } from './stored.ts';

/** What of a thing is known here; undefined when it is of no shape that is. */
const known = (schema: Joi.Schema, value: unknown): unknown => {
  const result = schema.validate(value, { stripUnknown: true, convert: false });
  return result.error ? undefined : result.value;
};

/**
 * What can be read of a document of a later version, to look at: the things whose shape is as it is now. Null when
 * that is not enough to show, as without a theme.
 */
export function readLater(stored: unknown): ProjectDocument | null {
  if (typeof stored !== 'object' || stored === null) return null;
  const later = stored as Stored;
  const empty = emptyDocument('', []) as unknown as Stored;
  const parts = Object.entries(partSchemas).map(([name, part]) => {
    const value = later[name];
    if (!isListPart(part)) return [name, known(part, value) ?? empty[name]];
    return [name, Array.isArray(value) ? value.flatMap((item) => known(part.item, item) ?? []) : []];
  });
  const document = { version: DOCUMENT_VERSION, ...Object.fromEntries(parts) };
  const result = documentShape.validate(document);
  return result.error || !result.value.themes.length ? null : (result.value as ProjectDocument);
}
