/** Splits CSS text at a separator outside brackets; a space stands for any white space, and empty parts go. */
export function splitOutside(text: string, separator: ',' | ' ' | '/'): string[] {
  const parts: string[] = [];
  let depth = 0;
  let part = '';
  for (const ch of text) {
    if (ch === '(') depth++;
    if (ch === ')') depth--;
    if (depth === 0 && (separator === ' ' ? /\s/.test(ch) : ch === separator)) {
      if (separator !== ' ' || part) parts.push(part.trim());
      part = '';
    } else part += ch;
  }
  if (part.trim() || separator !== ' ') parts.push(part.trim());
  return parts;
}
