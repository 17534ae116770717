/** Things that a drawing or page loses on the way in, said in words, each once. */
export type Removed = Set<string>;

export const OUTSIDE = 'outside references';
const FONTS = 'embedded fonts';

/** What no value needs: it fetches, runs, or hides what it does. */
const NEVER = /expression\s*\(|javascript:|vbscript:|image-set\s*\(|\bsrc\s*\(|[\\<>@{}]/i;
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

/** A declaration as it is written, or nothing where it would fetch or run something. */
function cleanDeclaration(text: string, removed: Removed): string {
  const at = text.indexOf(':');
  if (at < 1) return '';
  const [name, value] = [text.slice(0, at).trim(), text.slice(at + 1).trim()];
  if (!NAME.test(name) || !value || NEVER_NAMES.has(name.toLowerCase())) return '';
  return isCleanValue(value, removed) ? `${name}:${value.replace(/\s+/g, ' ')}` : '';
}

/** Declarations without those that fetch or run something, one after the other with `;` between. */
export const cleanDeclarations = (text: string, removed: Removed): string =>
  text
    .split(';')
    .flatMap((one) => cleanDeclaration(one, removed) || [])
    .join(';');

const SELECTOR = /^[^<{};@]{1,4000}$/;
const CONDITION = /^@(media|supports|layer|container)\b[^<{};]{0,400}$/i;
/** Blocks in blocks. */
const DEEPEST = 12;

/** The end of the block that begins at a brace: the place of the brace that closes it, or the end of the text. */
function endOfBlock(text: string, at: number): number {
  let depth = 0;
  for (let i = at; i < text.length; i++) {
    if (text[i] === '{') depth++;
    else if (text[i] === '}' && --depth === 0) return i;
  }
  return text.length;
}

/** What stands in a block, or in a whole sheet: declarations and blocks, one after the other. */
function cleanBlock(css: string, removed: Removed, depth: number): string {
  const [declarations, blocks]: [string[], string[]] = [[], []];
  let at = 0;
  // Each sign is looked for once: a text of one of them alone would else be gone through again and again.
  let [brace, semicolon] = [-2, -2];
  const next = (sign: string, known: number) => (known === -1 || known >= at ? known : css.indexOf(sign, at));
  while (at < css.length) {
    brace = next('{', brace);
    semicolon = next(';', semicolon);
    if (semicolon !== -1 && (brace === -1 || semicolon < brace)) {
      const one = css.slice(at, semicolon);
      if (/^\s*@import/i.test(one)) removed.add(OUTSIDE);
      else if (depth) declarations.push(cleanDeclaration(one, removed));
      at = semicolon + 1;
      continue;
    }
    if (brace === -1) {
      if (depth) declarations.push(cleanDeclaration(css.slice(at), removed));
      break;
    }
    const end = endOfBlock(css, brace);
    const [prelude, body] = [css.slice(at, brace).trim().replace(/\s+/g, ' '), css.slice(brace + 1, end)];
    at = end + 1;
    if (/^@font-face/i.test(prelude)) removed.add(FONTS);
    if (depth >= DEEPEST || !(SELECTOR.test(prelude) || CONDITION.test(prelude))) continue;
    const inner = cleanBlock(body, removed, depth + 1);
    // Links lead nowhere, and look as those that nobody has followed.
    if (inner) blocks.push(`${prelude.replace(/:link\b/gi, ':not(:visited)')}{${inner}}`);
  }
  const said = declarations.filter(Boolean).join(';');
  return said + (said && blocks.length ? ';' : '') + blocks.join('');
}

/** A style sheet of rules and conditions alone: what it imports, its fonts and all else is left out. */
export const cleanSheet = (text: string, removed: Removed): string =>
  // A comment that nobody closes is one to the end.
  cleanBlock(text.replace(/\/\*[\s\S]*?(?:\*\/|$)|<!--|-->/g, ' '), removed, 0);
