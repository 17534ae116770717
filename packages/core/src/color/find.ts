import { convert, numbers } from './convert.ts';
import { corrections, nearNames } from './corrections.ts';
import type { Triple } from './kernel.ts';
import { NAMED_COLORS, parseColor, readColor } from './parse.ts';
import type { Channel, Color } from './spaces.ts';
import { readTyped } from './typed.ts';
import { canonical } from './write.ts';

/** A colour found in a text. */
export interface FoundColor {
  /** Canonical spelling, see `canonical`. */
  readonly color: string;
  /** The spellings it was found in, in order of first appearance. */
  readonly spellings: readonly string[];
  readonly count: number;
  /** Offset of the first appearance, in UTF-16 units, and its line, from 1. */
  readonly index: number;
  readonly line: number;
  /** Only named in prose ("a dark blue sea"), where a word may mean something else. */
  readonly inProse: boolean;
}

/** Something in a text that looks like a colour code and is none. */
export interface NearCode {
  readonly text: string;
  readonly index: number;
  readonly line: number;
  readonly reason: string;
  /** Valid colours that may have been meant, likeliest first. */
  readonly corrections: readonly string[];
}

export interface FindResult {
  /** The first {@link MOST_FOUND} of them. */
  readonly found: readonly FoundColor[];
  readonly near: readonly NearCode[];
  /** Different colours, or codes that are none, beyond those; nobody looks through so many. */
  readonly beyond: number;
  /** Whether the text is a style sheet and no prose. */
  readonly isSheet: boolean;
}

/** Different colours that are listed of one text, and codes that are none. */
const MOST_FOUND = 4000;
const MOST_NEAR = 300;
/** Spellings of one colour that are listed. */
const MOST_SPELLINGS = 20;

const NAMED = new Set([...NAMED_COLORS, 'transparent']);
const FUNCTIONS =
  'color-mix|light-dark|rgba?|hsla?|hwb|oklab|oklch|lab|lch|color|device-cmyk|cmyk|hsva?|hsba?';
// One pass: colour functions, anything after a #, bare hex of a usual length, words. Each is judged below.
const TOKEN = new RegExp(
  `\\b(?<fn>${FUNCTIONS})(?:\\((?<args>[^()]{0,160}(?:\\([^()]{0,80}\\)[^()]{0,80}){0,4})\\)|\\((?<open>[\\s\\d.,%/-]{3,60}))|#(?<hash>[\\w]+)|(?<word>[A-Za-z0-9]+)`,
  'gi',
);
const STUCK_BEFORE = /[\w\-.$%@&+/=\\]/;
const STUCK_AFTER = /[\w\-(=\\]/;
const HINT = /(?:hex|colou?rs?|codes?|rgb)\W{0,3}$/i;
const COLOR_PROPERTY = /(?:^|[;{\s])(?:[\w-]*color|fill|stroke)\s*:\s*$/i;
const KEYWORDS = new Set([
  ...['inherit', 'initial', 'unset', 'revert', 'none', 'auto', 'currentcolor', 'transparent'],
  ...['canvas', 'canvastext', 'linktext', 'buttonface', 'buttontext', 'field', 'fieldtext', 'highlight'],
  ...['highlighttext', 'graytext', 'mark', 'marktext', 'accentcolor', 'visitedtext', 'activetext', 'context'],
]);

/** In a style sheet, bare words and numbers count only inside the value of a declaration. */
function isStyleSheet(text: string): boolean {
  const sample = text.slice(0, 200_000);
  // A name is looked at from its beginning only, and a value not for ever: each character is passed over once or so.
  const declarations = sample.match(/(?<![\w-])[\w-]+\s{0,20}:\s{0,20}[^;{}\n]{1,400}[;}]/g);
  return (declarations?.length ?? 0) >= 3 && sample.includes('{');
}

function inDeclarationValue(text: string, index: number): boolean {
  for (let i = index - 1, stop = Math.max(0, index - 400); i >= stop; i--) {
    const ch = text[i];
    if (ch === ':') return true;
    if (ch === ';' || ch === '{' || ch === '}') return false;
  }
  return false;
}

/** After `#name` in a selector comes a block, a combinator or a pseudo-class, and before it no colon. */
function isSelector(text: string, index: number, end: number): boolean {
  if (inDeclarationValue(text, index)) return false;
  return /^[\w\s#.,:>+~[\]="'()-]{0,120}\{/.test(text.slice(end, end + 124));
}

function bareHexCounts(word: string, before: string): boolean {
  if (HINT.test(before)) return true;
  const digit = /\d/.test(word);
  const letter = /[a-f]/i.test(word);
  if (word.length >= 6)
    return (digit && letter && !/^\d+e\d+$/i.test(word)) || (letter && word === word.toUpperCase());
  return digit && letter && !/^\d*[ed]\d*$/i.test(word) && word.length === 3;
}

/** What one token of a text is made of; see {@link TOKEN}. */
interface Token {
  readonly text: string;
  readonly index: number;
  readonly end: number;
  /** The letters before and after it; empty at the ends of the text. */
  readonly before: string;
  readonly after: string;
}

type Found = { -readonly [K in keyof FoundColor]: FoundColor[K] } & { spellings: string[] };

/** The search through one text, token by token. */
class ColorSearch {
  readonly found = new Map<string, Found>();
  readonly near = new Map<string, NearCode>();
  readonly beyond = new Set<string>();
  readonly isSheet: boolean;
  private readonly text: string;
  private line = 1;
  private counted = 0;
  /** The end of a name of several words, whose words do not count once more. */
  private namedTo = 0;

  constructor(text: string) {
    this.text = text;
    this.isSheet = isStyleSheet(text);
  }

  private lineAt(index: number): number {
    for (; this.counted < index; this.counted++) if (this.text.charCodeAt(this.counted) === 10) this.line++;
    return this.line;
  }

  private take(spelling: string, value: Color, index: number, inProse = false): void {
    const key = canonical(value);
    const known = this.found.get(key);
    if (known) {
      known.count++;
      known.inProse &&= inProse;
      if (known.spellings.length < MOST_SPELLINGS && !known.spellings.includes(spelling))
        known.spellings.push(spelling);
    } else if (this.found.size >= MOST_FOUND) this.beyond.add(key);
    else {
      const line = this.lineAt(index);
      this.found.set(key, { color: key, spellings: [spelling], count: 1, index, line, inProse });
    }
  }

  private doubt(spelling: string, reason: string, index: number, proposals?: readonly string[]): void {
    if (this.near.has(spelling)) return;
    if (this.near.size >= MOST_NEAR) this.beyond.add(spelling);
    else
      this.near.set(spelling, {
        text: spelling,
        index,
        line: this.lineAt(index),
        reason,
        corrections: proposals ?? corrections(spelling),
      });
  }

  takeFunction({ text, index, before }: Token, args: string | undefined, open: string): void {
    if (/[\w-]/.test(before)) return;
    if (args === undefined) {
      if (/\d/.test(open)) this.doubt(text.trim(), 'The closing bracket is missing.', index);
      return;
    }
    if (/\b(var|calc|env|attr|theme)\b|[$@{]/i.test(args)) return;
    // A sheet says what browsers read in it; in a letter somebody may have meant something else.
    const result = this.isSheet ? parseColor(text) : readTyped(text);
    if (result.ok) this.take(text, result.color, index);
    else if (/\d/.test(args))
      this.doubt(text, result.reason, index, 'corrections' in result ? result.corrections : undefined);
  }

  takeHash({ text, index, end, before, after }: Token, hash: string): void {
    const whole = this.text;
    if (/[\w&/=]/.test(before) || whole.slice(Math.max(0, index - 5), index).match(/url\(["']?$/i)) return;
    if (this.isSheet && isSelector(whole, index, end)) return;
    if (after === '-' && /[\w]/.test(whole[end + 1] ?? '')) return;
    const result = parseColor(text);
    if (result.ok) this.take(text, result.color, index);
    else if (hash.length <= 10 && looksLikeHex(hash)) this.doubt(text, result.reason, index);
  }

  takeWord({ index, end, before, after }: Token, word: string): void {
    const whole = this.text;
    if (STUCK_BEFORE.test(before) || before === '#' || STUCK_AFTER.test(after)) return;
    if (/[.,]/.test(after) && /\d/.test(whole[end + 1] ?? '')) return;
    if (this.isSheet && !inDeclarationValue(whole, index)) return;
    if (index < this.namedTo) return;
    const name = this.isSheet ? null : nameOfWords(word, whole.slice(end, end + 40));
    if (name) {
      this.take(word + name.more, readColor(name.color), index, true);
      this.namedTo = end + name.more.length;
      return;
    }
    const lower = word.toLowerCase();
    if (NAMED.has(lower)) this.take(word, readColor(lower), index, !this.isSheet);
    else this.takeUnnamed(word, lower, index, end);
  }

  /** A word that names no colour: a code without its sign, or a name that is mistyped. */
  private takeUnnamed(word: string, lower: string, index: number, end: number): void {
    const context = this.text.slice(Math.max(0, index - 40), index);
    if (/^([0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/i.test(word)) {
      if (!this.isSheet && bareHexCounts(word, context.slice(-14))) this.take(word, readColor(lower), index);
    } else if (!this.isSheet && isShortOrLongHex(word)) {
      this.doubt(word, wrongLength(word), index, corrections(`#${word}`));
    } else if (/^[a-z]{3,20}$/i.test(word) && COLOR_PROPERTY.test(context) && !KEYWORDS.has(lower)) {
      const names = nearNames(word);
      if (names.length) this.doubt(word, unknownName(word), index, names.slice(0, 5));
    } else if (!this.isSheet && /^[a-z]{5,20}$/i.test(word) && standsAlone(this.text, index, end)) {
      // In a list of colours every word is meant to be one; in a sentence hardly any.
      const names = nearNames(word).filter((near) => near.length > 4);
      if (names.length) this.doubt(word, unknownName(word), index, names.slice(0, 5));
    }
  }
}

/**
 * Finds every CSS colour in any text (an e-mail, a style sheet), and everything that looks like a colour code
 * and is none. Colours are merged by value and listed in order of first appearance. Values that depend on
 * variables (`rgba(var(--x), 1)`) are passed over. Time is linear in the length of the text.
 */
export function findColors(text: string): FindResult {
  const search = new ColorSearch(text);
  for (const match of text.matchAll(TOKEN)) {
    const { fn, args, open, hash, word } = match.groups as Record<string, string | undefined>;
    const { index } = match;
    const end = index + match[0].length;
    const token: Token = {
      text: match[0],
      index,
      end,
      before: text[index - 1] ?? '',
      after: text[end] ?? '',
    };
    if (fn !== undefined) search.takeFunction(token, args, open ?? '');
    else if (hash !== undefined) search.takeHash(token, hash);
    else if (word !== undefined) search.takeWord(token, word);
  }
  const { found, near, beyond, isSheet } = search;
  return { found: [...found.values()], near: [...near.values()], beyond: beyond.size, isSheet };
}

/** A CSS colour that is written as several words: "dark blue", "light sea-green"; `more` is what follows the first. */
function nameOfWords(word: string, after: string): { readonly color: string; readonly more: string } | null {
  const next = /^([ -][A-Za-z]{3,12})([ -][A-Za-z]{3,12})?(?![\w-])/.exec(after);
  if (!next) return null;
  const bare = (text: string) => text.toLowerCase().replace(/[ -]/g, '');
  for (const more of [next[1]! + (next[2] ?? ''), next[1]!])
    if (NAMED.has(bare(word + more))) return { color: bare(word + more), more };
  return null;
}

/** A code of five or seven digits, letters and figures among them: one more or less than a colour has. */
const isShortOrLongHex = (word: string) =>
  /^(?:[0-9a-f]{5}|[0-9a-f]{7})$/i.test(word) &&
  /\d/.test(word) &&
  /[a-f]/i.test(word) &&
  !/^\d+e\d+$/i.test(word);

const wrongLength = (word: string) => {
  const result = parseColor(`#${word}`);
  return result.ok ? '' : result.reason;
};

const unknownName = (word: string) => `CSS knows no colour named "${word}".`;

/** Whether a word is all there is on its line, or between two commas or semicolons. */
function standsAlone(text: string, from: number, to: number): boolean {
  const before = text.slice(Math.max(0, from - 20), from);
  return (
    /(?:^|[\n,;|\t])[ ]*$/.test(from > 20 ? `x${before}` : before) &&
    /^[ ]*(?:$|[\r\n,;|\t])/.test(text.slice(to, to + 20))
  );
}

/** Mostly hex digits and lookalikes, so that an anchor or a ticket name is not reported. */
function looksLikeHex(text: string): boolean {
  const hex = text.match(/[0-9a-f]/gi)?.length ?? 0;
  const odd = text.length - hex;
  // A colour but for one digit.
  if (odd === 1 && [3, 4, 6, 8].includes(text.length)) return true;
  if (text.length === 2) return odd === 0;
  if (!/^[0-9a-foliqszgt]+$/i.test(text)) return false;
  return /^[0-9a-f]+$/i.test(text)
    ? text.length > 1 && (/\d/.test(text) || text === text.toUpperCase())
    : odd <= 2 && /\d/.test(text);
}

/** Near-twins merged: the more frequent keeps its colour and takes over the spellings and counts of the others. */
export interface MergedColor extends FoundColor {
  /** Canonical spellings of the colours that were merged into this one. */
  readonly twins: readonly string[];
}

/**
 * Merges colours closer than `threshold` (ΔE OK; 0.02 is just noticeable) into the most frequent of them.
 * Translucent colours are merged only with equal alpha. Order of first appearance is kept.
 */
export function mergeTwins(found: readonly FoundColor[], threshold = 0.02): MergedColor[] {
  const byCount = [...found].sort((a, b) => b.count - a.count || a.index - b.index);
  const kept: Kept[] = [];
  // Who is near stands in the same cell of OKLab or in one beside it; so nobody else is looked at.
  const cells = new Map<string, Kept[]>();
  for (const item of byCount) {
    const c = readColor(item.color);
    const lab = numbers(convert(c, 'oklab'));
    const cell = lab.map((v) => Math.floor(v / Math.max(threshold, 1e-6)));
    const host = earliest(cells, cell, (k) => k.alpha === c.alpha && distance(k.lab, lab) < threshold);
    if (host)
      host.merged = {
        ...host.merged,
        spellings: [...host.merged.spellings, ...item.spellings],
        inProse: host.merged.inProse && item.inProse,
        count: host.merged.count + item.count,
        twins: [...host.merged.twins, item.color],
      };
    else {
      const one: Kept = { lab, alpha: c.alpha, place: kept.length, merged: { ...item, twins: [] } };
      kept.push(one);
      const key = cell.join(' ');
      const others = cells.get(key);
      if (others) others.push(one);
      else cells.set(key, [one]);
    }
  }
  return kept.map((k) => k.merged).sort((a, b) => a.index - b.index);
}

interface Kept {
  readonly lab: Readonly<Triple>;
  readonly alpha: Channel;
  readonly place: number;
  merged: MergedColor;
}

const distance = (a: Readonly<Triple>, b: Readonly<Triple>) =>
  Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const BESIDE = [-1, 0, 1];

/** The first of those kept in a cell or beside it that passes a test. */
function earliest(
  cells: ReadonlyMap<string, readonly Kept[]>,
  cell: readonly number[],
  test: (k: Kept) => boolean,
): Kept | null {
  let first: Kept | null = null;
  for (const dl of BESIDE)
    for (const da of BESIDE)
      for (const db of BESIDE)
        for (const k of cells.get(`${cell[0]! + dl} ${cell[1]! + da} ${cell[2]! + db}`) ?? [])
          if ((!first || k.place < first.place) && test(k)) first = k;
  return first;
}
