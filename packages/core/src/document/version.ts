/** The schema version of documents and commands now. A change of it comes with a step in `versions/`. */
export const DOCUMENT_VERSION = 11;
