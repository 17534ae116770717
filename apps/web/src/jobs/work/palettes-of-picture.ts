import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { histogramOf } from '@mint-lamp/core/picture/histogram';
import { paletteOfHistogram } from '@mint-lamp/core/picture/palette';
import { PALETTE_STRATEGIES, type PaletteStrategy } from '@mint-lamp/core/picture/strategies';
import type { Job } from '../job.ts';

export interface PicturePalette {
  readonly leaning: PaletteStrategy;
  /** `#rrggbb`, largest share first. */
  readonly colors: readonly string[];
}

/** Six palettes of a picture that is small enough to be looked at in one go. */
const work: Job<{ bitmap: ImageBitmap; size: number }, PicturePalette[]> = ({ bitmap, size }) => {
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true, colorSpace: 'srgb' })!;
  context.drawImage(bitmap, 0, 0);
  const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  const counted = histogramOf(data);
  return PALETTE_STRATEGIES.map((leaning) => ({
    leaning,
    colors: paletteOfHistogram(counted, size, leaning).map(({ r, g, b }) => hexOfRgb8(r, g, b)),
  }));
};
export default work;
