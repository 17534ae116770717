/// <reference path="./css-tree-parts.d.ts" />
import { tokenize, tokenTypes } from 'css-tree/tokenizer';

const { Function: FunctionStart, LeftParenthesis, LeftSquareBracket, LeftCurlyBracket } = tokenTypes;
const { RightParenthesis, RightSquareBracket, RightCurlyBracket, Comment } = tokenTypes;

const CLOSES = new Map([
  [FunctionStart, RightParenthesis],
  [LeftParenthesis, RightParenthesis],
  [LeftSquareBracket, RightSquareBracket],
  [LeftCurlyBracket, RightCurlyBracket],
]);
const SIGNS = new Map([
  [RightParenthesis, ')'],
  [RightSquareBracket, ']'],
  [RightCurlyBracket, '}'],
]);

/** Text to be put in at an offset, or a sign there that is taken away. */
type Mend = { readonly at: number; readonly put: string } | { readonly at: number; readonly put: null };

/** What makes the brackets of a text close each other. */
function mendsOf(css: string): Mend[] {
  const mends: Mend[] = [];
  const open: number[] = [];
  let inComment = false;
  const closing = (types: readonly number[]) =>
    [...types]
      .reverse()
      .map((type) => SIGNS.get(type))
      .join('');
  tokenize(css, (type, start, end) => {
    inComment = type === Comment && !css.startsWith('*/', end - 2);
    const closed = CLOSES.get(type);
    // A bracket that somebody forgot would swallow the rest of the sheet: it ends where a block begins or ends.
    const isOfBlock = type === LeftCurlyBracket || (type === RightCurlyBracket && open.includes(type));
    if (isOfBlock) {
      const forgotten = open.splice(open.lastIndexOf(RightCurlyBracket) + 1);
      if (forgotten.length) mends.push({ at: start, put: closing(forgotten) });
    }
    if (closed !== undefined) open.push(closed);
    else if (SIGNS.has(type)) {
      if (!open.length) mends.push({ at: start, put: null });
      else if (type === open[open.length - 1]) open.pop();
      // Within brackets of another kind a closing one is a sign like any other.
    }
  });
  if (open.length) mends.push({ at: css.length, put: `${inComment ? '*/' : ''}\n${closing(open)}` });
  return mends;
}

/**
 * A style sheet in which every bracket is closed: at the end of its rule or of the sheet where it was forgotten, and
 * without those that close nothing. The parser goes round in circles on others. Lines stay. Null for a text that
 * cannot be mended so.
 */
export function balanced(css: string): string | null {
  const mends = mendsOf(css);
  if (!mends.length) return css;
  let text = '';
  let from = 0;
  for (const { at, put } of mends) {
    text += css.slice(from, at) + (put ?? ' ');
    from = put === null ? at + 1 : at;
  }
  text += css.slice(from);
  return mendsOf(text).length ? null : text;
}
