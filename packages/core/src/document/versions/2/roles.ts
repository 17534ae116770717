import type { Stored } from '../stored.ts';

/**
 * A name as version 2 allows it. Version 1 had slashes between names, so that a name could hold dots and spaces;
 * they become hyphens, which leaves the CSS name as it was.
 */
const name = (old: string): string =>
  old
    .trim()
    .replace(/[\s.{}$]+/gu, '-')
    .replace(/^-+|-+$/g, '');

const names = (path: unknown): string[] => String(path).split('/').map(name);

/** `notice/delay/ground` as group and name. */
export function fullName(path: unknown): Stored {
  const all = names(path);
  return { group: all.slice(0, -1), name: all[all.length - 1]! };
}

export function role({ path, ...rest }: Stored): Stored {
  return { ...rest, ...fullName(path) };
}

export const group = names;
