import { parseColor } from '../color/parse.ts';
import { asPainted } from '../sheet/as-painted.ts';

/** How a value is rewritten. */
export interface Rewriting {
  /** What a custom property is called now; null where it keeps its name. */
  readonly renamed: (property: string) => string | null;
  /** What stands for a colour that is written so, as CSS; null where nothing does. Not asked where `colors` is false. */
  readonly standsFor: (color: string, written: string) => string | null;
  readonly colors: boolean;
  /** Whether words may be colours, and not only codes. */
  readonly words: boolean;
}

/** What is left as it is; variables; colours as functions, codes and words. */
const TOKEN =
  /(?<kept>url\((?:"[^"]*"|'[^']*'|[^)"']*)\)|"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*'|\/\*[\s\S]*?\*\/)|(?<name>--[^\s,(){};:!]+)|(?<color>\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\)|#[\da-f]{3,8}\b)|(?<word>(?<![\w.#-])[a-z]+(?![\w(-]))/gi;

const LEGACY = /^(?:#|rgba?\(|hsla?\(|[a-z]+$)/i;

/** A value with its variables by their new names, and its colours by what stands for them. */
export function rewrittenValue(value: string, { renamed, standsFor, colors, words }: Rewriting): string {
  if (value.length > 50_000) return value;
  // Between colours of another notation a gradient is mixed otherwise.
  const inGradient = /gradient\(/i.test(value);
  return value.replace(TOKEN, (text, ...rest) => {
    const { kept, name, color, word } = rest.at(-1) as Record<string, string | undefined>;
    if (kept !== undefined) return text;
    if (name !== undefined) return renamed(name) ?? text;
    if (!colors || (word !== undefined && !words)) return text;
    if (inGradient && !LEGACY.test(text)) return text;
    const parsed = parseColor((color ?? word)!);
    if (!parsed.ok || parsed.color.alpha === 0) return text;
    if (inGradient && parsed.color.alpha !== 1) return text;
    return standsFor(asPainted(parsed.color), text) ?? text;
  });
}
