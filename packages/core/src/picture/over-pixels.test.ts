import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyColor, rgba } from '../contrast/painted-color.fixture.ts';
import { worstOfEach, worstOverPixels } from './over-pixels.ts';

const WHITE = rgba('#fff');

describe('the worst contrast over pixels', () => {
  it('is that of the nearest pixel, translucent ones over what lies beneath', () => {
    const pixels = new Uint8ClampedArray([0, 0, 0, 255, 100, 100, 100, 255, 0, 0, 0, 0]);
    expect(worstOverPixels(rgba('#fff'), pixels, rgba('#000'))).toMatchObject({ at: 1 });
    expect(worstOverPixels(rgba('#fff'), pixels, rgba('#fff'))).toMatchObject({ at: 2, ratio: 1 });
    expect(() => worstOverPixels(WHITE, new Uint8ClampedArray(), WHITE)).toThrow(RangeError);
  });
});

describe('the worst contrast of several texts over pixels', () => {
  it('is that of each by itself', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    const pixels = fc.array(fc.tuple(byte, byte, byte, fc.constantFrom(0, 90, 255)), {
      minLength: 1,
      maxLength: 20,
    });
    fc.assert(
      fc.property(fc.array(anyColor, { maxLength: 5 }), pixels, anyColor, (texts, list, beneath) => {
        const bytes = Uint8ClampedArray.from(list.flat());
        const alone = texts.map((text) => worstOverPixels(text, bytes, beneath).ratio);
        expect(worstOfEach(texts, bytes, beneath)).toEqual(alone);
      }),
    );
  });
});
