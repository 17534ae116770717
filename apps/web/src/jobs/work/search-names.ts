import { toRgb8 } from '@mint-lamp/core/color/gamut';
import { readTyped } from '@mint-lamp/core/color/typed';
import { type NamedColor, shippedNames } from '@mint-lamp/core/names/names';
import type { Job } from '../job.ts';

const MOST = 120;
/** Of those near a colour. */
const MOST_NEAR = 48;

export interface FoundNames {
  readonly names: readonly NamedColor[];
  /** Whether they are those near a colour, and not those with a word. */
  readonly near: boolean;
}

/** The names of the shipped list that have all words of a text; where it is a colour in no name, those nearest to it. */
const work: Job<string, FoundNames> = (text) => {
  const names = shippedNames().search(text, MOST);
  const typed = names.length ? null : readTyped(text);
  return typed?.ok
    ? { names: shippedNames().near(...toRgb8(typed.color), MOST_NEAR), near: true }
    : { names, near: false };
};
export default work;
