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

/** What is open at the end of a text, innermost last, and the offsets of what closes nothing. */
function bracketsOf(css: string): {
  readonly open: number[];
  readonly stray: number[];
  readonly inComment: boolean;
} {
  const open: number[] = [];
  const stray: number[] = [];
  let inComment = false;
  tokenize(css, (type, start, end) => {
    const closed = CLOSES.get(type);
    if (closed !== undefined) open.push(closed);
    else if (open.length && type === open[open.length - 1]) open.pop();
    // Within brackets of another kind a closing one is a sign like any other.
    else if (!open.length && SIGNS.has(type)) stray.push(start);
    inComment = type === Comment && !css.startsWith('*/', end - 2);
  });
  return { open, stray, inComment };
}

/**
 * A style sheet with every bracket closed, as CSS closes them at its end, and without those that close nothing. The
 * parser goes round in circles on others. Offsets and lines stay. Null for a text that cannot be closed.
 */
export function balanced(css: string): string | null {
  const { open, stray, inComment } = bracketsOf(css);
  if (!open.length && !stray.length) return css;
  let text = '';
  let from = 0;
  for (const at of stray) {
    text += `${css.slice(from, at)} `;
    from = at + 1;
  }
  text += css.slice(from);
  if (open.length) {
    const closing = open.reverse().map((type) => SIGNS.get(type));
    text += `${inComment ? '*/' : ''}\n${closing.join('')}`;
  }
  const left = bracketsOf(text);
  return left.open.length || left.stray.length ? null : text;
}
