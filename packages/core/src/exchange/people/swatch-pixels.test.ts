import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { choicesOf } from '../../document/delivery/forms.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { writePng } from './swatch-pictures.ts';
import { drawSwatches } from './swatch-pixels.ts';
import { type SwatchSheet, sheetFonts, swatchSheet } from './swatches.ts';

const file = (name: string) =>
  new Uint8Array(readFileSync(createRequire(import.meta.url).resolve(`dejavu-fonts-ttf/ttf/${name}.ttf`)));
const fonts = sheetFonts({ regular: file('DejaVuSans'), bold: file('DejaVuSans-Bold') });
const sheet = swatchSheet(resolveSystem(SKERRY_LINE), choicesOf({}, 'png'), fonts);
/** The sheet over and over, beneath each other. */
const times = (n: number): SwatchSheet => ({
  ...sheet,
  height: sheet.height * n,
  swatches: Array.from({ length: n }, (_, i) =>
    sheet.swatches.map((one) => ({ ...one, y: one.y + i * sheet.height })),
  ).flat(),
});
const seen = async (of: SwatchSheet) => {
  const png = await writePng(drawSwatches(of, fonts, 'png'));
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
};

describe('a sheet of swatches as a picture', () => {
  it('has every colour as it is, and labels in black or white, at its own size', async () => {
    const png = await seen(sheet);
    expect([png.width, png.height]).toEqual([sheet.width, sheet.height]);
    const inked = sheet.swatches.map(({ x, y, width, height, color }) => {
      const at = (u: number, v: number) => [
        ...png.data.subarray((v * png.width + u) * 4, (v * png.width + u) * 4 + 4),
      ];
      expect(at(x + 6, y + 6)).toEqual([color.r, color.g, color.b, 255]);
      let others = 0;
      for (let v = y + 8; v < y + height - 8; v++)
        for (let u = x + 8; u < x + width - 8; u++) if (at(u, v)[1] !== color.g) others += 1;
      return others;
    });
    expect(Math.min(...inked)).toBeGreaterThan(200);
  });

  it('says so beneath where there are too many for labels that can be read, and is smaller', async () => {
    const many = times(12);
    const png = await seen(many);
    expect(png.width * png.height).toBeLessThan(4.2e6);
    const dark = (from: number, to: number) => {
      let count = 0;
      for (let at = from * png.width * 4; at < to * png.width * 4; at += 4)
        if (png.data[at]! < 60 && png.data[at + 1]! < 60 && png.data[at + 2]! < 60) count += 1;
      return count;
    };
    const foot = png.height - 56;
    expect(dark(foot, png.height)).toBeGreaterThan(300);
    // The same sheet with labels has them.
    const scale = foot / many.height;
    const first = many.swatches[0]!;
    const [x, y, right, bottom] = [first.x, first.y, first.x + first.width, first.y + first.height].map((v) =>
      Math.round(v * scale),
    ) as [number, number, number, number];
    for (let v = y + 2; v < bottom - 2; v++)
      for (let u = x + 2; u < right - 2; u++) expect(png.data[(v * png.width + u) * 4]).toBe(first.color.r);
  });
});
