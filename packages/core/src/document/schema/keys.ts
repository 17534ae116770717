import Joi from 'joi';

/**
 * Joi schemas that the compiler holds to the types they check: every key of the type has a schema and no other
 * key has one, and a key that may be left out says so.
 */
export interface OptionalKey {
  readonly orLeftOut: Joi.Schema;
}

export type SchemaKeys<T> = {
  // biome-ignore lint/complexity/noBannedTypes: the way to ask whether a key may be left out
  readonly [K in keyof T]-?: {} extends Pick<T, K> ? OptionalKey : Joi.Schema;
};

/** The schema of a key that may be left out. */
export const optional = (schema: Joi.Schema): OptionalKey => ({ orLeftOut: schema });

const presence = (key: OptionalKey | Joi.Schema): Joi.Schema =>
  'orLeftOut' in key ? (key.orLeftOut as Joi.Schema).optional() : key.required();

function plainKeys(keys: object): Joi.PartialSchemaMap {
  const entries = Object.entries(keys) as [string, OptionalKey | Joi.Schema][];
  return Object.fromEntries(entries.map(([name, key]) => [name, presence(key)]));
}

/** The schema of an object type. */
export const objectOf = <T>(keys: SchemaKeys<T>): Joi.ObjectSchema => Joi.object(plainKeys(keys));

/** The schemas of all objects of a union, told apart by one key. */
export type SchemasBy<U, K extends keyof U> = {
  readonly [V in U[K] & string]: SchemaKeys<Omit<Extract<U, Readonly<Record<K, V>>>, K>>;
};

/**
 * The schema of a union whose members are told apart by the value of one key; an unknown value is answered with
 * the known ones. `also` are members with schemas of their own making.
 */
export function unionOf<U, K extends keyof U & string>(
  key: K,
  members: SchemasBy<U, K>,
  also: Readonly<Record<string, Joi.Schema>> = {},
): Joi.AlternativesSchema {
  const own = Object.entries(members).map(([value, keys]) => ({
    is: value,
    then: Joi.object({ [key]: Joi.valid(value).required(), ...plainKeys(keys as object) }),
  }));
  const others = Object.entries(also).map(([value, schema]) => ({ is: value, then: schema }));
  const known = [...Object.keys(members), ...Object.keys(also)];
  return Joi.alternatives().conditional(`.${key}`, {
    switch: [...own, ...others],
    // Reached only by an unknown value, to say which there are.
    otherwise: Joi.object({ [key]: Joi.valid(...known).required() }).unknown(),
  });
}

/** The schemas of all commands of a kind of thing. */
export type CommandSchemas<C extends { readonly type: string }> = SchemasBy<C, 'type'>;
