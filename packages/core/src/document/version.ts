/** The form that documents and commands have now. A change of it comes with a step in `versions/`. */
export const DOCUMENT_VERSION = 6;
