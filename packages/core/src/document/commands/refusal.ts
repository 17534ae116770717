/** A command that does not fit the document; its message is shown to the designer. */
export class Refusal extends Error {
  override name = 'Refusal';
}
