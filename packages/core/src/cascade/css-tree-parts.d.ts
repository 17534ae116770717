// Parts of the package on their own, without the syntax data that only matching needs.
declare module 'css-tree/parser' {
  const parse: typeof import('css-tree').parse;
  export default parse;
}
declare module 'css-tree/tokenizer' {
  export function tokenize(source: string, onToken: (type: number, start: number, end: number) => void): void;
  export const tokenTypes: Readonly<
    Record<
      | 'Function'
      | 'LeftParenthesis'
      | 'LeftSquareBracket'
      | 'LeftCurlyBracket'
      | 'RightParenthesis'
      | 'RightSquareBracket'
      | 'RightCurlyBracket'
      | 'Comment',
      number
    >
  >;
}
