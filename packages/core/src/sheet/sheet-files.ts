import { balanced } from '../cascade/balanced.ts';

/** A file of a style sheet. */
export interface SheetFile {
  readonly name: string;
  readonly text: string;
}

/** Several sheets as one, in their order. */
export interface JoinedSheets {
  readonly text: string;
  /** Where each begins: its offset, and the lines before it. */
  readonly parts: readonly { readonly name: string; readonly start: number; readonly lines: number }[];
}

const linesIn = (text: string) => text.split('\n').length - 1;

/** Puts sheets together as a page does that asks for them one after the other: what one leaves open ends with it. */
export function joinedSheets(files: readonly SheetFile[]): JoinedSheets {
  const parts: { name: string; start: number; lines: number }[] = [];
  let text = '';
  let lines = 0;
  for (const file of files) {
    parts.push({ name: file.name, start: text.length, lines });
    const closed = balanced(file.text) ?? '';
    const own = closed.endsWith('\n') ? closed : `${closed}\n`;
    text += own;
    lines += linesIn(own);
  }
  return { text, parts };
}

/** The file that a line (from 1) of joined sheets is in, and its line there. */
export function placeOfLine({ parts }: JoinedSheets, line: number): { name: string; line: number } {
  const part = parts.findLast(({ lines }) => lines < line) ?? parts[0];
  return { name: part?.name ?? '', line: line - (part?.lines ?? 0) };
}
