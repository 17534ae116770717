import { describe, expect, it } from 'vitest';
import { groundsUnder, shareFailing, worstOnGrounds } from '../contrast/over-colors.ts';
import { readRegion, writeRegion } from '../wire/regions.ts';
import { AreaColors, areaColors } from './area-colors.ts';
import { worstOverPixels } from './over-pixels.ts';

const WHITE = { r: 255, g: 255, b: 255, alpha: 1 };
const TEXT = { r: 200, g: 40, b: 90, alpha: 1 };

/** As many colours as are wanted, some of them often, some translucent. */
function pixelsOf(colors: number): Uint8Array {
  const out = new Uint8Array((colors + 1000) * 4);
  for (let i = 0; i < colors + 1000; i++) {
    const n = Math.imul((i % colors) + 7, 2_654_435_761) >>> 0;
    out.set([n >>> 24, (n >>> 16) & 255, (n >>> 8) & 255, i % 9 ? 255 : 128], i * 4);
  }
  return out;
}

describe('the colours of an area', () => {
  it('are each there once, with their pixels, whatever parts they come in', () => {
    const pixels = pixelsOf(500);
    const whole = areaColors(pixels);
    const parts = new AreaColors();
    for (let from = 0; from < pixels.length; from += 700) parts.add(pixels.subarray(from, from + 700));
    expect(parts.colors()).toEqual(whole);
    expect(whole.counts.reduce((a, b) => a + b)).toBe(1500);
    whole.at.forEach((at, i) => {
      expect([...pixels.subarray(at * 4, at * 4 + 4)]).toEqual([...whole.colors.subarray(i * 4, i * 4 + 4)]);
    });
    expect(() => areaColors(new Uint8Array(0))).toThrow(RangeError);
  });

  it.each([[400], [60_000], [400_000]])(
    'say the worst ratio of a text over %i colours, as pixel by pixel',
    (n) => {
      const pixels = pixelsOf(n);
      const seen = areaColors(pixels);
      const grounds = groundsUnder(seen, WHITE, null);
      const { ratio } = worstOnGrounds(TEXT, grounds);
      const failing = shareFailing(TEXT, grounds, 4.5);
      const exact = worstOverPixels(TEXT, pixels, WHITE);
      expect(ratio).toBeGreaterThanOrEqual(exact.ratio - 1e-9);
      expect(ratio - exact.ratio).toBeLessThan(0.05);
      expect(seen.counts.reduce((a, b) => a + b)).toBe(n + 1000);
      expect(failing).toBeGreaterThan(0.3);
    },
  );

  it('go over the wire and come back the same', () => {
    const seen = areaColors(pixelsOf(300));
    expect(readRegion(writeRegion(seen).buffer as ArrayBuffer)).toEqual(seen);
    expect(() => readRegion(new ArrayBuffer(13))).toThrow(RangeError);
  });
});
