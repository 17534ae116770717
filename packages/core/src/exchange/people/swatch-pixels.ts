import { Canvas } from './canvas.ts';
import type { SheetFonts, SheetLine, SwatchSheet } from './swatches.ts';

/** Pixels that a picture of a sheet has at most; what would have more is drawn smaller. */
const MOST_PIXELS = 24_000_000;
/** px of a side, which every reader of pictures takes. */
const LONGEST_SIDE = 16_000;

const DARK = [17, 17, 17] as const;
const LIGHT = [255, 255, 255] as const;

/** A sheet of swatches as pixels. */
export function drawSwatches(sheet: SwatchSheet, fonts: SheetFonts): Canvas {
  const scale = Math.min(
    1,
    Math.sqrt(MOST_PIXELS / (sheet.width * sheet.height)),
    LONGEST_SIDE / Math.max(sheet.width, sheet.height),
  );
  const px = (v: number) => Math.round(v * scale);
  const canvas = new Canvas(px(sheet.width), px(sheet.height));
  const write = ({ text, x, y, size, isBold, isDark }: SheetLine) =>
    canvas.fill(
      (isBold ? fonts.bold : fonts.regular).outlines(text, size * scale, x * scale, y * scale),
      isDark ? DARK : LIGHT,
    );
  for (const { x, y, width, height, color } of sheet.swatches) {
    const own = [color.r, color.g, color.b] as const;
    const edge = [color.r, color.g, color.b].map((v) => v * 0.65 + 128 * 0.35) as [number, number, number];
    const [left, top, right, bottom] = [px(x), px(y), px(x + width), px(y + height)];
    canvas.rect(left, top, right - left, bottom - top, edge);
    canvas.rect(left + 1, top + 1, right - left - 2, bottom - top - 2, own);
  }
  for (const line of sheet.headings) write(line);
  for (const { lines } of sheet.swatches) for (const line of lines) write(line);
  return canvas;
}
