import { LIMITS, slug } from '../document.ts';
import { Refusal } from './lists.ts';

/** Refuses a text that is too long to be a name. */
export function checkLength(text: string): void {
  if (text.length > LIMITS.name)
    throw new Refusal(`A name has at most ${LIMITS.name} characters; this has ${text.length}.`);
}

/** Refuses a name that says nothing or that another thing of the kind has already, letter case aside. */
export function checkName(
  name: string,
  others: readonly { readonly id: string; readonly name: string }[],
  own: string,
  what: string,
): void {
  checkLength(name);
  const key = slug(name);
  if (!key) throw new Refusal(`A ${what} needs a name with at least one letter or digit.`);
  const taken = others.find((other) => other.id !== own && slug(other.name) === key);
  if (taken) throw new Refusal(`There is a ${what} named "${taken.name}" already; choose another name.`);
}
