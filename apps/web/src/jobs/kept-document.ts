/** What stands in a job's input for the document that its worker was sent last. */
export const KEPT_DOCUMENT = 'kept-document';

/** Puts the document back that a worker was sent last, and keeps the one that it is sent. */
export class DocumentKeeper {
  private kept: unknown = null;

  whole(input: unknown): unknown {
    if (typeof input !== 'object' || input === null || !('document' in input)) return input;
    if (input.document === KEPT_DOCUMENT) return { ...input, document: this.kept };
    this.kept = input.document;
    return input;
  }
}
