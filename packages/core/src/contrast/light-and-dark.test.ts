import { describe, expect, it } from 'vitest';
import { readColor } from '../color/parse.ts';
import { lightAndDark } from './light-and-dark.ts';
import { contrastRatio } from './ratio.ts';

const of = (...codes: string[]) => lightAndDark(codes.map((code) => readColor(code)));

describe('the lightest and the darkest', () => {
  it('have the most contrast of any two', () => {
    const codes = ['#0b5f6b', '#e2552b', '#d9c7a0', '#3d4a4d', '#b8234a'];
    const found = of(...codes)!;
    expect([codes[found.lightest], codes[found.darkest]]).toEqual(['#d9c7a0', '#3d4a4d']);
    const rgb = (code: string) => {
      const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(code.slice(at, at + 2), 16)) as [
        number,
        number,
        number,
      ];
      return { r, g, b, alpha: 1 };
    };
    const ratios = codes.flatMap((a) => codes.map((b) => contrastRatio(rgb(a), rgb(b))));
    expect(found.ratio).toBe(Math.max(...ratios));
  });

  it('of black and white are 21 apart, of one colour twice 1', () => {
    expect(of('black', 'white')!.ratio).toBeCloseTo(21, 10);
    expect(of('#123456', '#123456')!.ratio).toBe(1);
  });

  it('leave out what is translucent, and are none of fewer than two', () => {
    expect(of('rgb(0 0 0 / 0.5)', '#777777', '#999999')).toMatchObject({ lightest: 2, darkest: 1 });
    expect(of('#777777', 'rgb(0 0 0 / 0.5)')).toBeNull();
    expect(of()).toBeNull();
  });
});
