import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  endsOfGrounds,
  groundAt,
  groundsUnder,
  type SeenColors,
  shareFailing,
  worstOnGrounds,
} from './over-colors.ts';
import { contrastRatio, luminance, paintedOver, type Rgba, reaches } from './ratio.ts';

const byte = fc.integer({ min: 0, max: 255 });
const color = (alpha: fc.Arbitrary<number>): fc.Arbitrary<Rgba> =>
  fc.record({ r: byte, g: byte, b: byte, alpha });
const opaque = color(fc.constant(1));
const alpha = fc.integer({ min: 0, max: 255 }).map((a) => a / 255);

/** Areas of few colours, some of them the same or as dark, in 8 bits or with the fractions of gradients. */
const area = fc
  .record({
    colors: fc.array(fc.oneof(opaque, color(alpha), fc.constant({ r: 119, g: 119, b: 119, alpha: 1 })), {
      minLength: 1,
      maxLength: 40,
    }),
    fractions: fc.boolean(),
  })
  .map(({ colors, fractions }): SeenColors => {
    const flat = colors.flatMap(({ r, g, b, alpha: a }) => [r, g, b, a * 255]);
    return {
      colors: fractions ? Float32Array.from(flat) : Uint8Array.from(flat),
      counts: Uint32Array.from(colors, (_, i) => 1 + ((i * 7) % 5)),
      at: Uint32Array.from(colors.keys()),
    };
  });
const veil = fc.option(color(alpha), { nil: null });
const target = fc.constantFrom(1, 3, 4.5, 7, 21);

describe('the worst ground of many', () => {
  it('is that which is found by going through all of them, and so is the share that falls short', () => {
    fc.assert(
      fc.property(
        area,
        opaque,
        veil,
        fc.oneof(opaque, color(alpha)),
        target,
        (seen, beneath, over, text, required) => {
          const grounds = groundsUnder(seen, beneath, over);
          const all = Array.from(grounds.counts, (_, i) => groundAt(grounds, i));
          const ratios = all.map((ground) => contrastRatio(paintedOver(text, ground), ground));
          const worst = worstOnGrounds(text, grounds);
          expect(worst.ratio).toBe(Math.min(...ratios));
          expect(ratios[worst.at]).toBe(worst.ratio);
          expect(worst.ground).toEqual(all[worst.at]);
          const failing = ratios.reduce(
            (sum, ratio, i) => sum + (reaches(ratio, required) ? 0 : grounds.counts[i]!),
            0,
          );
          expect(shareFailing(text, grounds, required)).toBe(failing / grounds.pixels);
          const lights = all.map(luminance);
          expect(endsOfGrounds(grounds).map(luminance)).toEqual([Math.min(...lights), Math.max(...lights)]);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('is remembered by what lies beneath only where that shows', () => {
    const seen: SeenColors = {
      colors: Uint8Array.of(10, 20, 30, 255),
      counts: Uint32Array.of(1),
      at: Uint32Array.of(0),
    };
    const [white, black] = [255, 0].map((v) => ({ r: v, g: v, b: v, alpha: 1 }));
    expect(groundsUnder(seen, white!, null)).toBe(groundsUnder(seen, black!, null));
    const glass = { ...seen, colors: Uint8Array.of(10, 20, 30, 100) };
    const through = [white!, black!].map((beneath) => groundsUnder(glass, beneath, null));
    expect(through[0]).not.toEqual(through[1]);
    expect(groundsUnder(glass, white!, null)).toBe(through[0]);
    const veiled = groundsUnder(seen, white!, { ...black!, alpha: 0.5 });
    expect(groundAt(veiled, 0).r).toBeLessThan(10);
  });
});
