import { faultInFile } from '../store/arriving.ts';

/** Pixels that are enough for palettes. */
const MOST_PIXELS = 1_000_000;

/** A drawing has to be painted first, which only a page can. */
async function drawn(file: Blob): Promise<ImageBitmap> {
  const address = URL.createObjectURL(file);
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    return await createImageBitmap(image, { resizeWidth: 900 });
  } finally {
    URL.revokeObjectURL(address);
  }
}

/** A picture's file as a bitmap that is small enough for palettes. Rejects with a sentence. */
export async function bitmapOf(file: File): Promise<ImageBitmap> {
  const fault = await faultInFile(file);
  if (fault) throw new Error(fault);
  try {
    if (file.type === 'image/svg+xml') return await drawn(file);
    const whole = await createImageBitmap(file);
    const { width, height } = whole;
    const scale = Math.sqrt(MOST_PIXELS / (width * height));
    if (scale >= 1) return whole;
    const small = await createImageBitmap(whole, {
      resizeWidth: Math.max(1, Math.round(width * scale)),
      resizeHeight: Math.max(1, Math.round(height * scale)),
      resizeQuality: 'medium',
    });
    whole.close();
    return small;
  } catch {
    throw new Error(`${file.name} could not be read: it may be broken or cut off. Try another copy of it.`);
  }
}
