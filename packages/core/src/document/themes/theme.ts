/** A named setting of a project; every role has a value in every theme. */
export interface Theme {
  readonly id: string;
  readonly name: string;
}
