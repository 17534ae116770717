import fontkit from '@pdf-lib/fontkit';

/** The files of the fonts that labels are drawn with, TrueType. */
export interface FontFiles {
  readonly regular: Uint8Array;
  readonly bold: Uint8Array;
}

/** What is drawn of a glyph: commands with absolute coordinates in units of the font, y up. */
interface PathCommand {
  readonly command: 'moveTo' | 'lineTo' | 'quadraticCurveTo' | 'bezierCurveTo' | 'closePath';
  readonly args: readonly number[];
}

interface Glyph {
  readonly id: number;
  readonly advanceWidth: number;
  readonly path: { readonly commands: readonly PathCommand[] };
}

interface FontkitFont {
  readonly unitsPerEm: number;
  layout(text: string): {
    readonly glyphs: readonly Glyph[];
    readonly positions: readonly {
      readonly xAdvance: number;
      readonly xOffset: number;
      readonly yOffset: number;
    }[];
  };
  glyphsForString(text: string): readonly Glyph[];
}

/** A font that texts are measured by, and drawn from. */
export interface Letters {
  /** Width of a text, px. */
  readonly width: (text: string, size: number) => number;
  /** As much of a text as a width holds, with an ellipsis where something is left out. */
  readonly fitted: (text: string, size: number, width: number) => string;
  /** The glyphs of a text, with their places from its beginning on the base line, in parts of the size, y down. */
  readonly glyphs: (
    text: string,
  ) => readonly { readonly id: number; readonly x: number; readonly y: number }[];
  /** The outline of a glyph in parts of the size, y down: straight pieces, each contour closed. */
  readonly outline: (id: number) => readonly Float64Array[];
}

/** Scripts whose letters stand beside each other as they are: Latin, Greek, Cyrillic, and what is between them. */
export const STAND_ALONE =
  /^[\u0020-\u024f\u0370-\u0482\u048a-\u04ff\u1e00-\u1fff\u2010-\u2027\u2030-\u205e]*$/u;

/** A glyph where it stands on its line, in units of the font. */
interface Placed {
  readonly glyph: Glyph;
  readonly x: number;
  readonly y: number;
}

/** Straight pieces that a curve is drawn in. */
const PIECES = 4;

/** The contours of a glyph, straight pieces, in units of the font. */
function contoursOf({ path }: Glyph): Float64Array[] {
  const out: Float64Array[] = [];
  let own: number[] = [];
  let [px, py] = [0, 0];
  const to = (x: number, y: number) => {
    own.push(x, y);
    [px, py] = [x, y];
  };
  for (const { command, args } of path.commands) {
    if (command === 'moveTo') {
      if (own.length) out.push(Float64Array.from(own));
      own = [];
      to(args[0]!, args[1]!);
    } else if (command === 'lineTo') to(args[0]!, args[1]!);
    else if (command === 'quadraticCurveTo' || command === 'bezierCurveTo') {
      const [fx, fy] = [px, py];
      for (let i = 1; i <= PIECES; i++) {
        const t = i / PIECES;
        const u = 1 - t;
        const at = (from: number, axis: 0 | 1) =>
          command === 'quadraticCurveTo'
            ? u * u * from + 2 * u * t * args[axis]! + t * t * args[2 + axis]!
            : u ** 3 * from +
              3 * u * u * t * args[axis]! +
              3 * u * t * t * args[2 + axis]! +
              t ** 3 * args[4 + axis]!;
        to(at(fx, 0), at(fy, 1));
      }
    }
  }
  if (own.length) out.push(Float64Array.from(own));
  return out;
}

/** Reads a font's file. */
export function lettersOf(file: Uint8Array): Letters {
  const font = fontkit.create(file) as unknown as FontkitFont;
  const drawn = new Map<number, Float64Array[]>();
  const contours = (glyph: Glyph) => {
    let known = drawn.get(glyph.id);
    if (!known) {
      known = contoursOf(glyph);
      drawn.set(glyph.id, known);
    }
    return known;
  };
  const placedGlyphs = (text: string): { glyphs: Placed[]; advance: number } => {
    let advance = 0;
    const glyphs: Placed[] = [];
    if (STAND_ALONE.test(text))
      for (const glyph of font.glyphsForString(text)) {
        glyphs.push({ glyph, x: advance, y: 0 });
        advance += glyph.advanceWidth;
      }
    else {
      const run = font.layout(text);
      run.glyphs.forEach((glyph, i) => {
        const { xAdvance, xOffset, yOffset } = run.positions[i]!;
        glyphs.push({ glyph, x: advance + xOffset, y: yOffset });
        advance += xAdvance;
      });
    }
    return { glyphs, advance };
  };
  const widths = new Map<string, number>();
  const width = (text: string, size: number) => {
    let known = widths.get(text);
    if (known === undefined) {
      known = placedGlyphs(text).advance;
      if (widths.size > 50_000) widths.clear();
      widths.set(text, known);
    }
    return (known / font.unitsPerEm) * size;
  };
  return {
    width,
    fitted: (text, size, most) => fittedText(text, most, (part) => width(part, size)),
    glyphs: (text) =>
      placedGlyphs(text).glyphs.map(({ glyph, x, y }) => {
        contours(glyph);
        return { id: glyph.id, x: x / font.unitsPerEm, y: -y / font.unitsPerEm };
      }),
    outline: (id) =>
      (drawn.get(id) ?? []).map((points) => points.map((v, i) => (i % 2 ? -v : v) / font.unitsPerEm)),
  };
}

/** As much of a text as a width holds, with an ellipsis where something is left out. */
export function fittedText(text: string, most: number, widthOf: (text: string) => number): string {
  if (widthOf(text) <= most) return text;
  const signs = [...text];
  let [low, high] = [0, signs.length];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (widthOf(`${signs.slice(0, middle).join('')}…`) <= most) low = middle;
    else high = middle - 1;
  }
  return `${signs.slice(0, low).join('')}…`;
}
