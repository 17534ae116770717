import { parseColor } from '../../color/parse.ts';

type Json = Readonly<Record<string, unknown>>;
const isGroup = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const SIDES = new Map([
  ['light', 'dark'],
  ['dark', 'light'],
  ['day', 'night'],
  ['night', 'day'],
]);
const DEEPEST = 40;
const MOST = 20_000;

/** A colour of a design token as CSS (Design Tokens Format 2025.10, and the notations before it); null for what is none. */
function cssOf(value: unknown): string | null {
  if (typeof value === 'string') {
    const alias = /^\{([^{}]+)\}$/.exec(value.trim())?.[1];
    if (alias) return `var(${propertyOf(alias.replace(/\.(?:\$?value)$/, '').split('.'))})`;
    return parseColor(value).ok ? value : null;
  }
  if (!isGroup(value)) return null;
  const { colorSpace, components, alpha, hex } = value;
  if (typeof colorSpace === 'string' && Array.isArray(components)) {
    const parts = components.map((part) => (part === 'none' ? 'none' : Number(part)));
    const [a, b, c] = parts;
    const under = typeof alpha === 'number' && alpha < 1 ? ` / ${alpha}` : '';
    const direct: Readonly<Record<string, string>> = {
      hsl: `hsl(${a} ${b}% ${c}%${under})`,
      hwb: `hwb(${a} ${b}% ${c}%${under})`,
      lab: `lab(${a} ${b} ${c}${under})`,
      lch: `lch(${a} ${b} ${c}${under})`,
      oklab: `oklab(${a} ${b} ${c}${under})`,
      oklch: `oklch(${a} ${b} ${c}${under})`,
    };
    const text = direct[colorSpace] ?? `color(${colorSpace} ${parts.join(' ')}${under})`;
    if (parseColor(text).ok) return text;
  }
  return typeof hex === 'string' && parseColor(hex).ok ? hex : null;
}

const propertyOf = (path: readonly string[]) =>
  `--${path
    .map((part) => part.trim().replace(/[^\p{L}\p{N}_]+/gu, '-'))
    .join('-')
    .replace(/^-+|-+$/g, '')}`;

/** The tokens of a file that are colours, by their path. */
function* tokensIn(
  group: Json,
  path: readonly string[],
): Generator<{ path: readonly string[]; css: string }> {
  if (path.length > DEEPEST) return;
  const value =
    group.$value ?? (isGroup(group.value) || typeof group.value === 'string' ? group.value : undefined);
  if (value !== undefined && path.length) {
    const css = cssOf(value);
    if (css) yield { path, css };
  }
  for (const [name, inner] of Object.entries(group))
    if (!name.startsWith('$') && isGroup(inner) && name !== 'value') yield* tokensIn(inner, [...path, name]);
}

/**
 * The colours of a file of design tokens as a style sheet: a custom property for each, references as variables; where groups
 * come in two kinds, *light* and *dark* or *day* and *night*, as two themes. Null for what is no JSON or has no colour in it.
 */
export function tokensSheet(text: string): string | null {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    return null;
  }
  if (!isGroup(read)) return null;
  const tokens: { path: readonly string[]; css: string }[] = [];
  for (const token of tokensIn(read, [])) if (tokens.push(token) >= MOST) break;
  if (!tokens.length) return null;
  const paths = new Set(tokens.map(({ path }) => path.join('\0')));
  const themes = new Map<string, string[]>();
  for (const { path, css } of tokens) {
    const at = path.findIndex((part, i) => {
      const other = SIDES.get(part.toLowerCase());
      return other !== undefined && paths.has([...path.slice(0, i), other, ...path.slice(i + 1)].join('\0'));
    });
    const theme = at === -1 ? '' : path[at]!.toLowerCase();
    const property = propertyOf(path.filter((_, i) => i !== at));
    themes.set(theme, [...(themes.get(theme) ?? []), `  ${property}: ${css};`]);
  }
  return [...themes]
    .map(([theme, lines]) => `${theme ? `[data-theme="${theme}"]` : ':root'} {\n${lines.join('\n')}\n}`)
    .join('\n');
}
