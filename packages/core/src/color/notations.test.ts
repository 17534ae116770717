import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toRgb8 } from './gamut.ts';
import { NOTATIONS } from './notations.ts';
import { fromRgb8, parseColor } from './parse.ts';
import { readTyped } from './typed.ts';

const channel = fc.integer({ min: 0, max: 255 });

describe('notations', () => {
  it('are read back as the same 8-bit colour, by CSS or as what they are meant', () => {
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const color = fromRgb8(r, g, b);
        for (const { id, write } of NOTATIONS) {
          if (id === 'cmyk') continue;
          const typed = readTyped(write(color));
          // What CSS does not have is told, with the same colour to take instead; it has whole percents and degrees.
          const read = typed.ok ? typed : parseColor(typed.corrections[0]!);
          expect(read.ok, write(color)).toBe(true);
          if (!read.ok) return;
          const back = toRgb8(read.color);
          const slack = id === 'hsv' || id === 'hsl' || id === 'hwb' ? 1 : 0;
          for (const [i, v] of [r, g, b].entries())
            expect(Math.abs(back[i]! - v), write(color)).toBeLessThanOrEqual(slack);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('write percent and HSV as they are read', () => {
    const write = (id: string) => NOTATIONS.find((one) => one.id === id)!.write;
    expect(write('percent')(fromRgb8(11, 110, 117))).toBe('rgb(4.31% 43.14% 45.88%)');
    expect(write('percent')({ ...fromRgb8(255, 0, 0), alpha: 0.5 })).toBe('rgb(100% 0% 0% / 50%)');
    expect(write('hsv')(fromRgb8(255, 128, 0))).toMatch(/^hsv\(30(\.\d+)? 100% 100%\)$/);
  });
});
