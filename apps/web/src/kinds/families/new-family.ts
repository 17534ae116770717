import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Family } from '@mint-lamp/core/document/families/family';
import { freeName, MOST_NAME } from '@mint-lamp/core/document/naming/names';
import { USUAL_GROWTH } from '@mint-lamp/core/family/growth';
import { newId } from '../../store/editing.ts';

/** Characters that the number behind a name that is taken may need. */
const FOR_NUMBER = 4;

/**
 * A family grown as usual from a colour, which is taken opaque, under a name that no family has: with a number behind
 * it where it is taken. `taken` are the slugs of names, and notes the new one.
 */
export function newFamily(color: string, wanted: string, taken: Set<string>): Family {
  return {
    id: newId(),
    name: freeName(wanted.slice(0, MOST_NAME - FOR_NUMBER).trimEnd(), taken),
    base: canonical({ ...readColor(color), alpha: 1 }),
    follows: null,
    growth: USUAL_GROWTH,
    handSet: {},
  };
}
