import type { CssGradient } from '@mint-lamp/core/gradient/model';
import { paintRows } from '@mint-lamp/core/gradient/raster';
import { type Job, JobError } from '../job.ts';

interface PaintingInput {
  readonly gradient: CssGradient;
  /** Whole px, at most 8192 a side. */
  readonly width: number;
  readonly height: number;
  readonly dithered: boolean;
}

/** How much of the work is painting; the rest is packing it into a file. */
const PAINTING = 0.85;

/** A gradient as a PNG file. */
const work: Job<PaintingInput, Blob> = async (
  { gradient, width, height, dithered },
  { progress, breathe },
) => {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { colorSpace: 'srgb' });
  if (!context) throw new JobError(`This browser has no room for a picture of ${width} × ${height} px.`);
  for (const { y, rows, pixels } of paintRows(gradient, width, height, dithered)) {
    context.putImageData(new ImageData(pixels, width, rows), 0, y);
    progress((PAINTING * (y + rows)) / height);
    await breathe();
  }
  return canvas.convertToBlob({ type: 'image/png' });
};
export default work;
