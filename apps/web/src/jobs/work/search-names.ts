import { type NamedColor, shippedNames } from '@mint-lamp/core/names/names';
import type { Job } from '../job.ts';

const MOST = 120;

/** The names of the shipped list that have all words of a text. */
const work: Job<string, NamedColor[]> = (text) => shippedNames().search(text, MOST);
export default work;
