import { Refusal } from '../commands/refusal.ts';

/** Characters of a name; of a role's name with its group written before it. */
export const MOST_NAME = 80;

// Names are compared again and again; making a slug anew each time is what that would cost.
const slugs = new Map<string, string>();
const MOST_SLUGS = 20_000;

/**
 * A name as part of a CSS custom property or an address: lower case, letters and digits, other runs as one
 * hyphen. Accents of Latin, Greek and Cyrillic letters are left out; marks that make another letter, as in Indic
 * scripts, Thai and kana, stay. Empty when nothing is left.
 */
export function slug(text: string): string {
  let known = slugs.get(text);
  if (known === undefined) {
    known = makeSlug(text);
    if (slugs.size >= MOST_SLUGS) slugs.clear();
    slugs.set(text, known);
  }
  return known;
}

const makeSlug = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .normalize('NFC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\p{M}]+/gu, '-')
    .replace(/^[-\p{M}]+|-+$/gu, '');

/** Characters that turn the direction of writing, so that what follows them reads otherwise than it is. */
const TURNS = /[\u202a-\u202e\u2066-\u2069]/;
/** What can be seen: a letter, a digit, a sign; no spaces, no controls, no fillers that are drawn as nothing. */
const SEEN = /[^\p{C}\p{Z}\p{Default_Ignorable_Code_Point}\u2800]/u;

/** Why a text is none that can stand as a name or beside one, in a sentence; null when it can. Control characters aside. */
export function faultOfText(text: string): string | null {
  const turning = TURNS.exec(text);
  if (turning)
    return `There is a character in it that turns the direction of writing (U+${turning[0].charCodeAt(0).toString(16).toUpperCase()}) and makes what follows read otherwise than it is; leave it out.`;
  return text && !SEEN.test(text)
    ? 'There is nothing in it that can be seen; write at least one letter, digit or sign.'
    : null;
}

/** The first fault of a text anywhere in a command, or in whatever else is plain data; null when all can stand. */
export function faultOfTexts(value: unknown): string | null {
  if (typeof value === 'string') return faultOfText(value);
  if (typeof value !== 'object' || value === null) return null;
  for (const inner of Object.values(value)) {
    const fault = faultOfTexts(inner);
    if (fault) return fault;
  }
  return null;
}

/** Refuses a text that is too long to be a name. */
export function checkLength(text: string): void {
  if (text.length > MOST_NAME)
    throw new Refusal(`A name has at most ${MOST_NAME} characters; this has ${text.length}.`);
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

/** The name of the thing with an id, for words about a command. */
export const nameIn = (list: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  list.find((item) => item.id === id)?.name ?? 'something gone';

/** The slugs of names that are taken. */
export const slugsOf = (things: readonly { readonly name: string }[]): Set<string> =>
  new Set(things.map(({ name }) => slug(name)));

/** A name as it is wanted, or with the first number behind it that nobody has; noted among those taken. */
export function freeName(wanted: string, taken: Set<string>): string {
  let name = wanted;
  for (let n = 2; taken.has(slug(name)); n++) name = `${wanted} ${n}`;
  taken.add(slug(name));
  return name;
}

/** "Fade 3": a word with the first number, from one on, that makes it a name that nobody has. */
export function numberedName(word: string, taken: ReadonlySet<string>, from = 1): string {
  let n = from;
  while (taken.has(slug(`${word} ${n}`))) n++;
  return `${word} ${n}`;
}
