import fc from 'fast-check';
import { expect, test } from 'vitest';
import { inGamut, toRgb8 } from './gamut.ts';
import { delinearize } from './kernel.ts';
import { encode8, paintPlane } from './plane.ts';
import { color } from './spaces.ts';

test('a channel is encoded as rounding the sRGB curve gives it, at every edge', () => {
  const exact = (v: number) => Math.round(Math.min(1, Math.max(0, delinearize(v))) * 255);
  for (let i = 0; i <= 100_000; i++) if (encode8(i / 100_000) !== exact(i / 100_000)) expect.fail(`${i}`);
  fc.assert(fc.property(fc.double({ min: -1, max: 2 }), (v) => Number.isNaN(v) || encode8(v) === exact(v)));
});

test('the plane of a hue has the colours of its places, and nothing beyond sRGB', () => {
  const [width, height, most] = [23, 17, 0.37];
  fc.assert(
    fc.property(fc.double({ min: -720, max: 720, noNaN: true }), (hue) => {
      const out = new Uint8ClampedArray(width * height * 4).fill(7);
      paintPlane(out, width, height, hue, most);
      for (let y = 0; y < height; y++)
        for (let x = 0; x < width; x++) {
          const c = color('oklch', [1 - (y + 0.5) / height, ((x + 0.5) / width) * most, hue]);
          const [r, g, b, alpha] = out.slice((y * width + x) * 4);
          const inside = inGamut(c);
          expect(alpha, `${x} ${y} ${hue}`).toBe(inside ? 255 : 0);
          if (inside) expect([r, g, b]).toEqual(toRgb8(c));
        }
    }),
    { numRuns: 60 },
  );
});
