import type { Pixels } from '@mint-lamp/core/picture/sample';
import type { Page } from '@playwright/test';
import sharp from 'sharp';

/** Pixels that differ everywhere, with soft bands and fine noise, the same each time. RGB, 3 bytes each. */
function drawnPixels(width: number, height: number): Buffer {
  const bytes = Buffer.alloc(width * height * 3);
  let state = 11;
  const noise = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state >>> 27) - 16;
  };
  const band = (v: number) => Math.max(0, Math.min(255, Math.round(v)));
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 3) {
      const n = noise();
      bytes[at] = band(30 + (190 * x) / width + n);
      bytes[at + 1] = band(60 + (120 * y) / height + n);
      bytes[at + 2] = band(150 - (100 * x) / width + n);
    }
  return bytes;
}

/** A drawn picture as a file. */
export const drawnFile = (width: number, height: number) =>
  sharp(drawnPixels(width, height), { raw: { width, height, channels: 3 } });

/** The pixels of a file as this browser decodes it, by a way of its own. */
export async function decodedIn(page: Page, address: string): Promise<Pixels> {
  const { width, height, base64 } = await page.evaluate(async (url) => {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.naturalWidth;
    canvas.height = image.naturalHeight;
    const context = canvas.getContext('2d')!;
    context.drawImage(image, 0, 0);
    const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
    let text = '';
    for (let i = 0; i < data.length; i += 8192) text += String.fromCharCode(...data.subarray(i, i + 8192));
    return { width: canvas.width, height: canvas.height, base64: btoa(text) };
  }, address);
  return { width, height, pixels: Uint8ClampedArray.from(Buffer.from(base64, 'base64')) };
}
