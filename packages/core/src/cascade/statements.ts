/** Where the bracket that opens at an offset closes; the length of the text where it does not. */
export function closingOf(text: string, open: number): number {
  let depth = 0;
  for (let i = open; i < text.length; i++) {
    const sign = text[i];
    if (sign === '"' || sign === "'") {
      const end = text.indexOf(sign, i + 1);
      if (end === -1) return text.length;
      i = end;
    } else if (sign === '(' || sign === '{' || sign === '[') depth += 1;
    else if (sign === ')' || sign === '}' || sign === ']') {
      depth -= 1;
      if (depth === 0) return i;
    }
  }
  return text.length;
}

/** A statement of a sheet: what ends with a sign, or has a block. */
interface Statement {
  /** Its offset in the text. */
  readonly start: number;
  readonly whole: string;
  /** What stands before its block, or all of it. */
  readonly head: string;
  readonly block: string | null;
}

/** The statements of a text one after the other: what ends with a sign, and what has a block. */
export function* statements(text: string): Generator<Statement> {
  let start = 0;
  for (let i = 0; i < text.length; i++) {
    const sign = text[i];
    if (sign === '"' || sign === "'") {
      const end = text.indexOf(sign, i + 1);
      if (end === -1) break;
      i = end;
    } else if (sign === '/' && text[i + 1] === '*') {
      const end = text.indexOf('*/', i + 2);
      if (end === -1) break;
      i = end + 1;
    } else if (sign === '(' || sign === '[') i = closingOf(text, i);
    else if ((sign === '#' || sign === '@') && text[i + 1] === '{') i = closingOf(text, i + 1);
    else if (sign === ';') {
      yield { start, whole: text.slice(start, i + 1), head: text.slice(start, i), block: null };
      start = i + 1;
    } else if (sign === '{') {
      const close = closingOf(text, i);
      yield {
        start,
        whole: text.slice(start, close + 1),
        head: text.slice(start, i),
        block: text.slice(i + 1, close),
      };
      i = close;
      start = close + 1;
    }
  }
  const last = text.slice(start);
  if (last.trim()) yield { start, whole: `${last};`, head: last, block: null };
}
