import { PNG } from 'pngjs';
import type { Engine } from './engine.ts';

/** A box that a gradient is painted in, px. */
export const BOX = { width: 120, height: 60 } as const;
const COLUMNS = 8;
const ROWS = 12;

/** Pixels of a box: three bytes each, row by row. */
export type Pixels = Uint8Array;

const escaped = (css: string) => css.replaceAll('&', '&amp;').replaceAll('"', '&quot;');

/** How an engine paints gradients on white, each in a box of its own, without its outermost px. */
export async function paintedBy(engine: Engine, gradients: readonly string[]): Promise<Pixels[]> {
  const out: Pixels[] = [];
  const { width, height } = BOX;
  for (let from = 0; from < gradients.length; from += COLUMNS * ROWS) {
    const part = gradients.slice(from, from + COLUMNS * ROWS);
    const boxes = part.map(
      (css, i) =>
        `<div style="position:absolute;left:${(i % COLUMNS) * width}px;top:${Math.floor(i / COLUMNS) * height}px;width:${width}px;height:${height}px;background-image:${escaped(css)}"></div>`,
    );
    const page = `<!doctype html><style>html,body{margin:0;background:#fff;overflow:hidden}</style>${boxes.join('')}`;
    await engine.goto(`data:text/html;charset=utf-8,${encodeURIComponent(page)}`);
    await engine.evaluate(
      'new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))',
    );
    const png = PNG.sync.read(await engine.screenshot());
    part.forEach((_, i) => {
      const pixels = new Uint8Array(width * height * 3);
      for (let y = 0; y < height; y++)
        for (let x = 0; x < width; x++) {
          const at = ((Math.floor(i / COLUMNS) * height + y) * png.width + (i % COLUMNS) * width + x) * 4;
          pixels.set(png.data.subarray(at, at + 3), (y * width + x) * 3);
        }
      out.push(pixels);
    });
  }
  return out;
}

/**
 * The share of pixels, 0–1, that are at most `most` away from what the other has there or between what it has in the
 * pixels beside: where an edge is hard, engines draw the pixel on it in either colour, or between both.
 */
export function shareAlike(a: Pixels, b: Pixels, most: number): number {
  const { width, height } = BOX;
  let alike = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let fits = true;
      for (let channel = 0; channel < 3 && fits; channel++) {
        let [least, largest] = [255, 0];
        for (let v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++)
          for (let u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
            const value = b[(v * width + u) * 3 + channel]!;
            least = Math.min(least, value);
            largest = Math.max(largest, value);
          }
        const own = a[(y * width + x) * 3 + channel]!;
        fits = own >= least - most && own <= largest + most;
      }
      if (fits) alike += 1;
    }
  return alike / (width * height);
}
