import { movedIntoSrgb } from './css-parts.ts';
import type { CssGradient } from './model.ts';
import { readGradient } from './read-css.ts';

/** A gradient found in a text. */
export interface FoundGradient {
  readonly text: string;
  readonly gradient: CssGradient;
  /** What of it is not as it was written, in words. */
  readonly notes: readonly string[];
  readonly count: number;
  /** Offset of the first appearance, in UTF-16 units, and its line, from 1. */
  readonly index: number;
  readonly line: number;
}

const BEGINS = /(?<![\w-])(?:-webkit-|-moz-|-o-|-ms-)?(?:repeating-)?(?:linear|radial|conic)-gradient\(/gi;
/** Characters of the longest gradient that is looked for, so that time is linear in the text. */
const LONGEST = 4000;

/** Gradients that are listed of one text: as many as a project holds. */
const MOST_FOUND = 400;

/** What is said of colours that sRGB does not hold; none where all are in it. */
function notesOf(gradient: CssGradient): string[] {
  const { count, most } = movedIntoSrgb(gradient);
  if (!count) return [];
  const which = count === 1 ? 'One colour lies' : `${count} colours lie`;
  return [
    `${which} outside sRGB and ${count === 1 ? 'is' : 'are'} brought into it, hue kept: up to ${most} of 255 from what a browser paints there.`,
  ];
}

/** Offset after the bracket that closes the one at an offset; -1 when there is none nearby. */
function closing(text: string, from: number): number {
  let depth = 0;
  for (let i = from; i < text.length && i < from + LONGEST; i++) {
    if (text[i] === '(') depth += 1;
    else if (text[i] === ')') {
      depth -= 1;
      if (depth === 0) return i + 1;
    }
  }
  return -1;
}

/**
 * Every CSS gradient in any text that can be read and has plain colours, once each, in order of first appearance, the first 400 of them.
 * Time is linear in the length of the text.
 */
export function findGradients(text: string): FoundGradient[] {
  const found = new Map<string, FoundGradient>();
  let line = 1;
  let counted = 0;
  for (const match of text.matchAll(BEGINS)) {
    const end = closing(text, match.index + match[0].length - 1);
    if (end === -1) continue;
    const written = text.slice(match.index, end).replace(/\s+/g, ' ');
    const known = found.get(written);
    if (known) {
      found.set(written, { ...known, count: known.count + 1 });
      continue;
    }
    if (found.size >= MOST_FOUND) break;
    const read = readGradient(written);
    if (!read.ok) continue;
    for (; counted < match.index; counted++) if (text.charCodeAt(counted) === 10) line++;
    found.set(written, {
      text: written,
      gradient: read.gradient,
      notes: notesOf(read.gradient),
      count: 1,
      index: match.index,
      line,
    });
  }
  return [...found.values()];
}
