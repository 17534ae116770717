/** Things that a drawing loses on the way in, said in words, each once. */
export type Removed = Set<string>;

export const OUTSIDE = 'references to things outside of it';
const FONTS = 'fonts of its own';

/** What no value of a drawing needs: it fetches, runs, or hides what it does. */
const NEVER = /expression\s*\(|javascript:|vbscript:|image-set\s*\(|\bsrc\s*\(|[\\<>@]/i;
const OUTSIDE_URL = /url\(\s*(?!["']?#)/i;
const NAME = /^-{0,2}[a-z][\w-]*$/i;
const NEVER_NAMES = new Set(['behavior', '-moz-binding', 'src']);

/** Whether a value stays as it is; notes what is the matter with it where that is worth a word. */
export function isCleanValue(value: string, removed: Removed): boolean {
  if (OUTSIDE_URL.test(value)) {
    removed.add(OUTSIDE);
    return false;
  }
  if (!NEVER.test(value)) return true;
  if (/javascript:|vbscript:|expression/i.test(value)) removed.add('scripts');
  return false;
}

/** Declarations without those that fetch or run something, one after the other with `;` between. */
export function cleanDeclarations(text: string, removed: Removed): string {
  const kept: string[] = [];
  for (const one of text.split(';')) {
    const at = one.indexOf(':');
    if (at < 1) continue;
    const [name, value] = [one.slice(0, at).trim(), one.slice(at + 1).trim()];
    if (!NAME.test(name) || !value || NEVER_NAMES.has(name.toLowerCase())) continue;
    if (isCleanValue(value, removed)) kept.push(`${name}:${value.replace(/\s+/g, ' ')}`);
  }
  return kept.join(';');
}

const SELECTOR = /^[\w\s.#,:>+~*()[\]="'^$|-]{1,2000}$/;
/** Blocks in blocks. */
const DEEPEST = 4;

/** The end of the block that begins at a brace: the place of the brace that closes it, or the end of the text. */
function endOfBlock(text: string, at: number): number {
  let depth = 0;
  for (let i = at; i < text.length; i++) {
    if (text[i] === '{') depth++;
    else if (text[i] === '}' && --depth === 0) return i;
  }
  return text.length;
}

/** A style sheet with plain rules and conditions alone: what it imports, its fonts and all else is left out. */
export function cleanSheet(text: string, removed: Removed, depth = 0): string {
  // A comment that nobody closes is one to the end.
  const css = depth ? text : text.replace(/\/\*[\s\S]*?(?:\*\/|$)|<!--|-->/g, ' ');
  const out: string[] = [];
  let at = 0;
  while (at < css.length) {
    const [brace, semicolon] = [css.indexOf('{', at), css.indexOf(';', at)];
    if (semicolon !== -1 && (brace === -1 || semicolon < brace)) {
      if (/^\s*@import/i.test(css.slice(at, semicolon))) removed.add(OUTSIDE);
      at = semicolon + 1;
      continue;
    }
    if (brace === -1) break;
    const end = endOfBlock(css, brace);
    const [prelude, body] = [css.slice(at, brace).trim(), css.slice(brace + 1, end)];
    at = end + 1;
    if (/^@(media|supports)\b/i.test(prelude)) {
      if (depth >= DEEPEST || !SELECTOR.test(prelude.slice(1).replace(/[/<]/g, ''))) continue;
      const inner = cleanSheet(body, removed, depth + 1);
      if (inner) out.push(`${prelude.replace(/\s+/g, ' ')}{${inner}}`);
    } else if (/^@font-face/i.test(prelude)) removed.add(FONTS);
    else if (SELECTOR.test(prelude)) {
      const inner = body.includes('{') ? '' : cleanDeclarations(body, removed);
      if (inner) out.push(`${prelude.replace(/\s+/g, ' ')}{${inner}}`);
    }
  }
  return out.join('');
}
