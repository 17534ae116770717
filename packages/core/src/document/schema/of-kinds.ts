import { KINDS } from '../kinds.ts';
import { schemaParts } from './toolbox.ts';

/** The schemas of every kind of thing, made once. */
export const kindSchemas = KINDS.map(({ schemas }) => schemas(schemaParts));
