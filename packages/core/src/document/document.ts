import { type DocumentParts, KINDS } from './kinds.ts';
import type { Theme } from './themes/theme.ts';

/** The form that documents and commands have now. A change of it comes with a step in `versions/`. */
export const DOCUMENT_VERSION = 6;

/**
 * The project document: everything that a project is, as plain JSON, in the parts that its kinds of things define.
 * Colours are canonical CSS text.
 */
export interface ProjectDocument extends DocumentParts {
  readonly version: typeof DOCUMENT_VERSION;
}

/** An empty project with some themes and nothing else. */
export function emptyDocument(name: string, themes: readonly Theme[]): ProjectDocument {
  const parts = Object.assign({}, ...KINDS.map(({ empty }) => empty)) as DocumentParts;
  return { version: DOCUMENT_VERSION, ...parts, name, themes: [...themes] };
}
