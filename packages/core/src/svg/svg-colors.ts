import { parseColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';

/** A cleaned drawing taken apart at its colours: texts, and between each two of them a colour. */
export interface SvgPieces {
  readonly texts: readonly string[];
  /** The colour after each text but the last, as {@link canonical} writes it. */
  readonly colors: readonly string[];
}

const PAINTS = 'fill|stroke|stop-color|flood-color|lighting-color|color';
/** Attributes that paint, styles of elements, and style sheets, as a cleaned drawing has them. */
const PLACES = new RegExp(`\\s(${PAINTS}|style)="([^"]*)"|<style>([^<]*)</style>`, 'g');
const DECLARATION = new RegExp(`((?:^|[;{])\\s*)(${PAINTS}|--[\\w-]+)(\\s*:\\s*)([^;{}]+)`, 'gi');
/** What may be a colour in a value: a function with what is in it, a code, a word. */
const TOKEN = /[a-z-]+\([^()]*\)|#[0-9a-f]{3,8}\b|[a-z]+/gi;
const NO_COLORS = new Set([
  'none',
  'inherit',
  'initial',
  'unset',
  'currentcolor',
  'transparent',
  'url',
  'var',
]);

/** The colours of a value, each with its place in it. */
function colorsIn(
  value: string,
  isWhole: boolean,
): { readonly at: number; readonly length: number; readonly color: string }[] {
  const found: { at: number; length: number; color: string }[] = [];
  for (const token of value.matchAll(TOKEN)) {
    const [text] = token;
    // A word in an address is none.
    if (NO_COLORS.has(text.toLowerCase()) || /^(url|var)\(/i.test(text)) continue;
    if (isWhole && text.length !== value.trim().length) continue;
    const parsed = parseColor(text);
    if (!parsed.ok || (parsed.color.alpha ?? 1) === 0) continue;
    found.push({ at: token.index, length: text.length, color: canonical(parsed.color) });
  }
  return found;
}

class Pieces {
  readonly texts: string[] = [];
  readonly colors: string[] = [];
  private from = 0;
  private readonly svg: string;

  constructor(svg: string) {
    this.svg = svg;
  }

  value(value: string, at: number, isWhole = false): void {
    for (const one of colorsIn(value, isWhole)) {
      this.texts.push(this.svg.slice(this.from, at + one.at));
      this.colors.push(one.color);
      this.from = at + one.at + one.length;
    }
  }

  css(css: string, at: number): void {
    for (const { 1: before = '', 2: name = '', 3: colon = '', 4: value = '', index } of css.matchAll(
      DECLARATION,
    ))
      this.value(value, at + index + before.length + name.length + colon.length, name.startsWith('--'));
  }

  end(): SvgPieces {
    return { texts: [...this.texts, this.svg.slice(this.from)], colors: this.colors };
  }
}

const known = new Map<string, SvgPieces>();
const MOST_KNOWN = 32;

/** A drawing that {@link cleanSvg} has written, taken apart at its colours. Worked out once. */
export function svgPieces(svg: string): SvgPieces {
  let pieces = known.get(svg);
  if (!pieces) {
    const found = new Pieces(svg);
    for (const { 0: whole, 1: name, 2: value, 3: css, index } of svg.matchAll(PLACES)) {
      if (css !== undefined) found.css(css, index + whole.indexOf(css, '<style>'.length));
      else if (name === 'style') found.css(value!, index + whole.length - 1 - value!.length);
      else found.value(value!, index + whole.length - 1 - value!.length);
    }
    pieces = found.end();
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(svg, pieces);
  }
  return pieces;
}

/** The colours of a drawing, each once, in the order in which they come. */
export const svgColors = (svg: string): string[] => [...new Set(svgPieces(svg).colors)];

/** A drawing in other colours: `paint` says what each becomes, in CSS. */
export function paintSvg({ texts, colors }: SvgPieces, paint: (color: string) => string): string {
  let out = texts[0]!;
  for (const [i, color] of colors.entries()) out += paint(color) + texts[i + 1]!;
  return out;
}
