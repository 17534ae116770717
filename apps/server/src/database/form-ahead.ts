/** The project was last changed by a newer version; what its log says is not known here. */
export class FormAhead extends Error {
  override name = 'FormAhead';
}
