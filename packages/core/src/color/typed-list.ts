import type { Color } from './spaces.ts';
import { readTyped } from './typed.ts';

/** What several typed colours come to: the colours in their order, and the first that is none with what may be meant. */
export interface TypedColors {
  readonly colors: readonly Color[];
  readonly fault: {
    /** As it was typed, and where in the text it begins. */
    readonly text: string;
    readonly index: number;
    readonly reason: string;
    readonly corrections: readonly string[];
  } | null;
}

interface Part {
  readonly text: string;
  readonly index: number;
}

/** The parts of a text between what parts them, none of them within brackets. */
function partsOf({ text, index }: Part, parting: RegExp): Part[] {
  const parts: Part[] = [];
  let depth = 0;
  let from = 0;
  const end = (to: number) => {
    const part = text.slice(from, to);
    const trimmed = part.trim();
    if (trimmed) parts.push({ text: trimmed, index: index + from + part.indexOf(trimmed) });
    from = to + 1;
  };
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '(') depth++;
    else if (text[i] === ')') depth = Math.max(0, depth - 1);
    else if (depth === 0 && parting.test(text[i]!)) end(i);
  }
  end(text.length);
  return parts;
}

/**
 * Reads several colours that somebody typed, each as {@link readTyped} reads it: parted by commas, semicolons or lines,
 * or by spaces alone where what stands between commas is no colour as a whole ("dark blue, teal", "#0b5f6b #e2552b").
 * Reading goes on after one that is none, so that the others are known; the first of those is told.
 *
 * @example readTypedList('navy, #e2552 , hsl(42 79% 49%)').fault?.text // '#e2552'
 */
export function readTypedList(text: string): TypedColors {
  const colors: Color[] = [];
  let fault: TypedColors['fault'] = null;
  const read = (part: Part, whole: boolean): boolean => {
    const typed = readTyped(part.text);
    if (typed.ok) colors.push(typed.color);
    else if (whole) return false;
    else fault ??= { ...part, reason: typed.reason, corrections: typed.corrections };
    return typed.ok;
  };
  for (const part of partsOf({ text, index: 0 }, /[,;\n]/)) {
    const words = partsOf(part, /\s/);
    if (words.length === 1) read(part, false);
    else if (!read(part, true)) for (const word of words) read(word, false);
  }
  return { colors, fault };
}
