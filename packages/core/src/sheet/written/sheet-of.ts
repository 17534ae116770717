import type { SheetFile } from '../sheet-files.ts';
import { preprocessed } from './preprocessed.ts';
import { tokensSheet } from './tokens-sheet.ts';

/** A file as a style sheet, or why it is none. */
export type SheetOf =
  | { readonly ok: true; readonly file: SheetFile }
  | { readonly ok: false; readonly name: string; readonly reason: string };

/** What files are taken as, by their endings. */
export const SHEET_ENDINGS = ['css', 'scss', 'less', 'json', 'tokens', 'html', 'htm'] as const;

const STYLE = /<style\b[^>]*>([\s\S]*?)(?:<\/style\s*>|$)/gi;

/**
 * A file of any kind that holds colours as a style sheet: CSS as it is, SCSS and LESS with their variables, design tokens, the
 * styles of a page. Never throws.
 */
export function sheetOf({ name, text }: SheetFile): SheetOf {
  const ending = /\.(\w+)$/.exec(name)?.[1]?.toLowerCase() ?? 'css';
  const no = (reason: string) => ({ ok: false, name, reason }) as const;
  const yes = (css: string) => ({ ok: true, file: { name, text: css } }) as const;
  if (text.includes('\0')) return no('This is no text.');
  switch (ending) {
    case 'scss':
    case 'less':
      return yes(preprocessed(text, ending));
    case 'sass':
      return no('Sass with indents is not read; save it as SCSS or as CSS.');
    case 'json':
    case 'tokens': {
      const css = tokensSheet(text);
      return css === null ? no('There is no design token in it that is a colour.') : yes(css);
    }
    case 'html':
    case 'htm': {
      const css = [...text.matchAll(STYLE)].map(([, inner]) => inner).join('\n');
      return css.trim() ? yes(css) : no('The page has no style element; its sheets are files of their own.');
    }
    default:
      return yes(text);
  }
}
