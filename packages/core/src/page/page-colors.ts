import { parseColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';

/** What a colour does on a page: text that is the ground of another is not the same colour there. */
type PagePart = 'text' | 'ground' | 'line' | 'shadow';

/** A colour of a page. */
export interface PageColor {
  /** How it is called: `--body-bg` where a custom property has it, else what it paints and itself: `ground #ffffff`. */
  readonly key: string;
  readonly color: string;
  readonly part: PagePart | null;
}

/** A cleaned page taken apart at its colours: texts, and between each two of them a colour. */
export interface PagePieces {
  readonly texts: readonly string[];
  readonly colors: readonly PageColor[];
}

const PLACES = /\s(fill|stroke|stop-color|style)="([^"]*)"|<style>([^<]*)<\/style>/g;
const DECLARATION = /((?:^|[;{])\s*)(--[\w-]+|[a-z-]+)(\s*:\s*)([^;{}]+)/gi;
/** Addresses and names of custom properties, which are no colours; colours as functions, codes and words. */
const TOKEN =
  /url\([^)]*\)|var\(\s*--[\w-]+|(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\)|#[0-9a-f]{3,8}\b|[a-z-]+/gi;
const NO_COLORS = /^(none|inherit|initial|unset|revert|currentcolor|transparent|auto|(url|var)\(.*)$/i;

const PARTS: readonly (readonly [PagePart, RegExp])[] = [
  ['shadow', /shadow/],
  ['line', /border|outline|rule|stroke|decoration|caret/],
  ['ground', /background|fill|accent-color|stop-color/],
  ['text', /^(?:-webkit-text-fill-)?color$/],
];

const partOf = (property: string): PagePart | null =>
  PARTS.find(([, names]) => names.test(property.toLowerCase()))?.[0] ?? null;

class Pieces {
  readonly texts: string[] = [];
  readonly colors: PageColor[] = [];
  private from = 0;
  private readonly html: string;

  constructor(html: string) {
    this.html = html;
  }

  value(property: string, value: string, at: number): void {
    const own = property.startsWith('--');
    const part = own ? null : partOf(property);
    if (!own && part === null) return;
    for (const { 0: text, index } of value.matchAll(TOKEN)) {
      // A custom property is a colour as a whole or none: what else it says may be anything.
      if (NO_COLORS.test(text) || (own && text.length !== value.trim().length)) continue;
      const parsed = parseColor(text);
      if (!parsed.ok || (parsed.color.alpha ?? 1) === 0) continue;
      const color = canonical(parsed.color);
      this.texts.push(this.html.slice(this.from, at + index));
      this.colors.push({ key: own ? property : `${part} ${color}`, color, part });
      this.from = at + index + text.length;
    }
  }

  css(css: string, at: number): void {
    for (const { 1: before = '', 2: name = '', 3: colon = '', 4: value = '', index } of css.matchAll(
      DECLARATION,
    ))
      this.value(name, value, at + index + before.length + name.length + colon.length);
  }

  end(): PagePieces {
    return { texts: [...this.texts, this.html.slice(this.from)], colors: this.colors };
  }
}

const known = new Map<string, PagePieces>();
const MOST_KNOWN = 8;

/** A page that `cleanPage` has written, taken apart at its colours. Worked out once. */
export function pagePieces(html: string): PagePieces {
  let pieces = known.get(html);
  if (!pieces) {
    const found = new Pieces(html);
    for (const { 0: whole, 1: name, 2: value, 3: css, index } of html.matchAll(PLACES)) {
      if (css !== undefined) found.css(css, index + '<style>'.length);
      else if (name === 'style') found.css(value!, index + whole.length - 1 - value!.length);
      else found.value(name!, value!, index + whole.length - 1 - value!.length);
    }
    pieces = found.end();
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(html, pieces);
  }
  return pieces;
}

/** The colours of a page, each once; a custom property that is set again counts by what it is first. */
export function pageColors(html: string): PageColor[] {
  const found = new Map<string, PageColor>();
  for (const color of pagePieces(html).colors) if (!found.has(color.key)) found.set(color.key, color);
  return [...found.values()];
}

/** A page in other colours: `paint` says what each becomes, in CSS. */
export function paintPage({ texts, colors }: PagePieces, paint: (color: PageColor) => string): string {
  let out = texts[0]!;
  for (const [i, color] of colors.entries()) out += paint(color) + texts[i + 1]!;
  return out;
}
