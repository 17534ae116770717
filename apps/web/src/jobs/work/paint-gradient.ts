import { pngEnd, pngHead, pngPart, pngRows, type RowAbove } from '@mint-lamp/core/exchange/png';
import type { CssGradient } from '@mint-lamp/core/gradient/model';
import { paintRows } from '@mint-lamp/core/gradient/raster';
import type { Job } from '../job.ts';

interface PaintingInput {
  readonly gradient: CssGradient;
  /** Whole px, at most 8192 a side. */
  readonly width: number;
  readonly height: number;
  readonly dithered: boolean;
}

/**
 * A gradient as a PNG file. Its bytes are those that the core paints: a canvas would multiply them by their alpha, and
 * with little of that other colours come back, without the dither.
 */
const work: Job<PaintingInput, Blob> = async (
  { gradient, width, height, dithered },
  { progress, yieldTurn },
) => {
  const deflate = new CompressionStream('deflate');
  const writer = deflate.writable.getWriter();
  const parts: BlobPart[] = [pngHead(width, height)];
  const reading = (async () => {
    const reader = deflate.readable.getReader();
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      parts.push(pngPart(value));
    }
  })();
  let above: RowAbove = null;
  for (const { y, rows, pixels } of paintRows(gradient, width, height, dithered)) {
    const { bytes, last } = pngRows(pixels, width, above);
    above = last;
    await writer.write(bytes);
    progress((y + rows) / height);
    await yieldTurn();
  }
  await writer.close();
  await reading;
  parts.push(pngEnd());
  return new Blob(parts, { type: 'image/png' });
};
export default work;
