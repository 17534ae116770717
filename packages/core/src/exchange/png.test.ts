import { deflateSync } from 'node:zlib';
import fc from 'fast-check';
import sharp from 'sharp';
import { expect, it } from 'vitest';
import { pngEnd, pngHead, pngPart, pngRows, type RowAbove } from './png.ts';

it('a PNG has the very bytes that were painted, translucent ones too, whatever parts they came in', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 24 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 5 }),
      fc.infiniteStream(fc.integer({ min: 0, max: 255 })),
      fc.boolean(),
      async (width, height, each, stream, smooth) => {
        const pixels = Uint8ClampedArray.from({ length: width * height * 4 }, (_, i) =>
          smooth ? Math.floor(i / 7) : stream.next().value,
        );
        let above: RowAbove = null;
        const rows: Uint8Array[] = [];
        for (let y = 0; y < height; y += each) {
          const part = pixels.slice(y * width * 4, Math.min(height, y + each) * width * 4);
          const written = pngRows(part, width, above);
          rows.push(written.bytes);
          above = written.last;
        }
        const packed = deflateSync(Buffer.concat(rows));
        const middle = packed.length >> 1;
        const file = Buffer.concat([
          pngHead(width, height),
          pngPart(packed.subarray(0, middle)),
          pngPart(packed.subarray(middle)),
          pngEnd(),
        ]);
        const { data, info } = await sharp(file).raw().toBuffer({ resolveWithObject: true });
        expect([info.width, info.height, info.channels]).toEqual([width, height, 4]);
        expect(data.equals(Buffer.from(pixels))).toBe(true);
      },
    ),
    { numRuns: 100 },
  );
});
