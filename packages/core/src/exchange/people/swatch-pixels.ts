import { Canvas, type Mask, maskOf } from './canvas.ts';
import type { Letters } from './letters.ts';
import { LABEL, MARGIN, type SheetFonts, type SheetLine, type SwatchSheet } from './swatches.ts';

/** Pixels that a picture of a sheet has at most; what would have more is drawn smaller. */
const MOST_PIXELS = { png: 10_000_000, jpeg: 8_000_000 } as const;
/** And at most where there is nothing in it to read. */
const MOST_BARE_PIXELS = 4_000_000;
/** px below which labels are no letters any more, and are left out. */
const SMALLEST_LABEL = 9;
/** px of the letters that say so, and of the room for them. */
const [REMARK, REMARK_ROOM] = [20, 56];
/** px of a side, which every reader of pictures takes. */
const LONGEST_SIDE = 16_000;
/** Places within a px at which a letter is drawn. */
const FRACTIONS = 4;

const DARK = [17, 17, 17] as const;
const LIGHT = [255, 255, 255] as const;

/** Letters of a size as masks, each made once for each place within a px. */
class Stamps {
  private readonly letters: Letters;
  private readonly size: number;
  private readonly masks = new Map<number, Mask>();

  constructor(letters: Letters, size: number) {
    this.letters = letters;
    this.size = size;
  }

  write(canvas: Canvas, text: string, x: number, y: number, color: readonly [number, number, number]): void {
    for (const glyph of this.letters.glyphs(text)) {
      const at = Math.round((x + glyph.x * this.size) * FRACTIONS) / FRACTIONS;
      const column = Math.floor(at);
      canvas.stamp(
        this.mask(glyph.id, (at - column) * FRACTIONS),
        column,
        Math.round(y + glyph.y * this.size),
        color,
      );
    }
  }

  private mask(id: number, fraction: number): Mask {
    const key = id * FRACTIONS + fraction;
    let mask = this.masks.get(key);
    if (!mask) {
      const shift = fraction / FRACTIONS;
      mask = maskOf(
        this.letters.outline(id).map((points) => points.map((v, i) => v * this.size + (i % 2 ? 0 : shift))),
      );
      this.masks.set(key, mask);
    }
    return mask;
  }
}

/** A sheet of swatches as pixels. What has too many for labels that can be read says so beneath them. */
export function drawSwatches(sheet: SwatchSheet, fonts: SheetFonts, form: keyof typeof MOST_PIXELS): Canvas {
  const scaleFor = (most: number) =>
    Math.min(
      1,
      Math.sqrt(most / (sheet.width * sheet.height)),
      LONGEST_SIDE / Math.max(sheet.width, sheet.height),
    );
  const labelled = scaleFor(MOST_PIXELS[form]);
  const isLabelled = LABEL * labelled >= SMALLEST_LABEL;
  const scale = isLabelled ? labelled : scaleFor(MOST_BARE_PIXELS);
  const px = (v: number) => Math.round(v * scale);
  const canvas = new Canvas(px(sheet.width), px(sheet.height) + (isLabelled ? 0 : REMARK_ROOM));
  const stamps = new Map<string, Stamps>();
  const write = ({ text, x, y, size, isBold, isDark }: SheetLine, by = scale) => {
    const key = `${size * by} ${isBold}`;
    let own = stamps.get(key);
    if (!own) {
      own = new Stamps(isBold ? fonts.bold : fonts.regular, size * by);
      stamps.set(key, own);
    }
    own.write(canvas, text, x * by, y * by, isDark ? DARK : LIGHT);
  };
  for (const { x, y, width, height, color } of sheet.swatches) {
    const own = [color.r, color.g, color.b] as const;
    const edge = [color.r, color.g, color.b].map((v) => v * 0.65 + 128 * 0.35) as [number, number, number];
    const [left, top, right, bottom] = [px(x), px(y), px(x + width), px(y + height)];
    canvas.rect(left, top, right - left, bottom - top, edge);
    canvas.rect(left + 1, top + 1, right - left - 2, bottom - top - 2, own);
  }
  for (const line of sheet.headings) write(line);
  if (isLabelled) for (const { lines } of sheet.swatches) for (const line of lines) write(line);
  else {
    const text = `${sheet.swatches.length} colours are too many for labels in a picture: choose fewer, or the SVG, which has them.`;
    const y = canvas.height - REMARK_ROOM / 2;
    write({ text, x: px(MARGIN), y, size: REMARK, isBold: false, isDark: true }, 1);
  }
  return canvas;
}
