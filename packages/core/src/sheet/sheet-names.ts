import { freeName, MOST_NAME, slug } from '../document/naming/names.ts';

/** What is left of a name's length for a number behind it. */
export const MOST_FOUND = MOST_NAME - 10;

/** A text of the sheet as a name: in one line, short enough; what says nothing is replaced. */
export function nameFrom(text: string, otherwise: string): string {
  const short = text
    .replace(/[\p{Cc}\p{Cs}\s]+/gu, ' ')
    .trim()
    .slice(0, MOST_NAME)
    .trim();
  return slug(short) ? short : otherwise;
}

/** A name that nobody has, or with a number behind it, for which a long one is cut. */
export const freeFound = (name: string, taken: Set<string>): string =>
  freeName(taken.has(slug(name)) ? name.slice(0, MOST_FOUND).trim() : name, taken);

/** `color-deep-sea` as a name: Deep sea. */
export function titleOf(property: string): string {
  const words = property
    .replace(/^(?:colou?rs?|clr|palette)-/i, '')
    .replace(/[-_]+/g, ' ')
    .trim();
  const title = words || property;
  return title.charAt(0).toUpperCase() + title.slice(1);
}

/** What nearly all custom properties begin with, such as `acme-`; empty when there is no such thing. */
export function commonPrefix(properties: readonly string[]): string {
  const firsts = new Map<string, number>();
  for (const name of properties) {
    const first = /^--([^-]+-)./.exec(name)?.[1];
    if (first) firsts.set(first, (firsts.get(first) ?? 0) + 1);
  }
  const [most] = [...firsts].sort((a, b) => b[1] - a[1]);
  return most && most[1] >= 8 && most[1] >= properties.length * 0.9 ? most[0] : '';
}

/** A custom property without its dashes and without what all of them begin with. */
export const withoutPrefix = (property: string, prefix: string): string =>
  property.slice(property.startsWith(`--${prefix}`) ? 2 + prefix.length : 2);
