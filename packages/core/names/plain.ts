/// <reference path="./color-name-list.d.ts" />
import { readFileSync } from 'node:fs';
import { colornames } from 'color-name-list';
import { rgbToOklab, type Triple } from '../src/color/kernel.ts';
import { channelsOf, type NamedColor } from '../src/names/names.ts';

/**
 * Which names of a large open list are plain: made of words that somebody has read one by one, and not called after
 * anything else. Names are given to a client's colours unasked, so that none may be a brand, a person, a film or a
 * coarse word.
 */

const read = (file: string) => readFileSync(new URL(file, import.meta.url), 'utf8');
/** Words that were read one by one: colours, plants, stones, weather, food, and what describes them. */
const PLAIN_WORDS: ReadonlySet<string> = new Set(read('plain-words.txt').split(/\s+/).filter(Boolean));
/** What plain words make together that is called after something: a place, a film, a song, a group, a drink. */
export const NOT_PLAIN: readonly string[] = read('not-plain.txt').split('\n').filter(Boolean);

const MOST_WORDS = 3;
/** Of names so near to each other (ΔE OK) only the shorter is kept. */
const APART = 0.01;

/** Whether a name is plain: one to three of the words that were read, none of them twice, nothing that is not plain in it. */
export function isPlain(name: string): boolean {
  const words = name.split(' ');
  return (
    words.length <= MOST_WORDS &&
    words.every((word) => /^[A-Z][a-z]+$/.test(word) && PLAIN_WORDS.has(word.toLowerCase())) &&
    new Set(words).size === words.length &&
    !NOT_PLAIN.some((phrase) => ` ${name} `.includes(` ${phrase} `))
  );
}

/** The plain names of the list, those apart from each other, by name. */
export function plainNames(): NamedColor[] {
  const words = (name: string) => name.split(' ').length;
  const plain = colornames
    .filter(({ name }) => isPlain(name))
    .sort(
      (a, b) => words(a.name) - words(b.name) || a.name.length - b.name.length || (a.name < b.name ? -1 : 1),
    );
  const kept: { name: string; hex: string; lab: Triple }[] = [];
  for (const { name, hex } of plain) {
    const lab = rgbToOklab(...channelsOf(hex));
    const isNear = (other: Triple) => Math.hypot(...lab.map((v, i) => v - other[i]!)) < APART;
    if (!kept.some((one) => isNear(one.lab))) kept.push({ name, hex, lab });
  }
  return kept.map(({ name, hex }) => ({ name, hex })).sort((a, b) => (a.name < b.name ? -1 : 1));
}

/** Characters of a row of names in the module that holds them. */
const ROW = 180;

/** The module that holds the names, as it is kept. */
export function format(names: readonly NamedColor[]): string {
  const rows: string[] = [];
  for (const { name, hex } of names) {
    const one = `${hex.slice(1)}${name}`;
    const last = rows[rows.length - 1];
    if (last === undefined || last.length + one.length >= ROW) rows.push(one);
    else rows[rows.length - 1] = `${last},${one}`;
  }
  return [
    '// Made by `npm run names` from the words in packages/core/names; not edited by hand.',
    '/** For each name six hexadecimal digits of sRGB and the name itself, by name; commas and ends of lines between. */',
    `export const PLAIN_NAMES = \`\n${rows.join('\n')}\n\`;`,
    '',
  ].join('\n');
}
