import { MOST_MENTIONS } from './note.ts';

/** Somebody who can be named in a note. */
export interface Nameable {
  readonly id: string;
  readonly name: string;
}

/** A part of what was said: plain, or somebody's name with the `@` before it. */
export interface SaidPart {
  readonly text: string;
  /** Who is named; all of those with that name. Empty where nobody is. */
  readonly people: readonly string[];
}

const isWordLetter = (letter: string | undefined) => letter !== undefined && /[\p{L}\p{N}_]/u.test(letter);

/**
 * A text in parts, with the people who are named in it by `@` and their name as it is written there, whatever its case.
 * The longest name wins ("@Ula Brandt" is not "@Ula"), and an `@` within a word, as in an address, names nobody.
 */
export function partsOfSaid(text: string, people: readonly Nameable[]): SaidPart[] {
  const named = people
    .map(({ id, name }) => ({ id, name: name.trim(), key: name.trim().toLowerCase() }))
    .filter(({ key }) => key)
    .sort((a, b) => b.name.length - a.name.length);
  const parts: SaidPart[] = [];
  let plainFrom = 0;
  for (let at = text.indexOf('@'); at !== -1; at = text.indexOf('@', at + 1)) {
    if (isWordLetter(text[at - 1])) continue;
    const found = named.find(({ name, key }) => {
      const end = at + 1 + name.length;
      return text.slice(at + 1, end).toLowerCase() === key && !isWordLetter(text[end]);
    });
    if (found === undefined) continue;
    if (at > plainFrom) parts.push({ text: text.slice(plainFrom, at), people: [] });
    plainFrom = at + 1 + found.name.length;
    const all = named.filter(({ key }) => key === found.key);
    parts.push({ text: text.slice(at, plainFrom), people: all.map(({ id }) => id) });
  }
  if (plainFrom < text.length) parts.push({ text: text.slice(plainFrom), people: [] });
  return parts;
}

/** Who is named in a text, each once, in the order in which they are; at most as many as a note tells. */
export const namedIn = (text: string, people: readonly Nameable[]): string[] =>
  [...new Set(partsOfSaid(text, people).flatMap((part) => part.people))].slice(0, MOST_MENTIONS);
