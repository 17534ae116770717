import { type DocumentParts, KINDS } from './kinds.ts';
import type { Theme } from './themes/theme.ts';
import { DOCUMENT_VERSION } from './version.ts';

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
