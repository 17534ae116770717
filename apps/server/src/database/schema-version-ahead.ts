/** The project was last changed by a newer version; what its log says is not known here. */
export class SchemaVersionAhead extends Error {
  override name = 'SchemaVersionAhead';
}
