import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { toRgb8 } from '../color/gamut.ts';
import { readColor } from '../color/parse.ts';
import { luminance } from '../contrast/ratio.ts';
import { deficiencyMatrix, simulate, visionTwins } from './simulate.ts';

const rgba = (text: string) => {
  const [r, g, b] = toRgb8(readColor(text));
  return { r, g, b, alpha: 1 };
};
const KINDS = ['protan', 'deutan', 'tritan', 'achromat'] as const;

describe('colour vision', () => {
  it('uses the published matrices, and lines between them', () => {
    expect(deficiencyMatrix('protan', 1).slice(0, 3)).toEqual([0.152286, 1.052583, -0.204868]);
    expect(deficiencyMatrix('deutan', 0.5).slice(3, 6)).toEqual([0.181692, 0.781742, 0.036566]);
    expect(deficiencyMatrix('tritan', 0)).toEqual([1, 0, 0, 0, 1, 0, 0, 0, 1]);
    expect(deficiencyMatrix('protan', 0.95)[0]).toBeCloseTo((0.203876 + 0.152286) / 2, 9);
  });

  test.each(KINDS)('%s leaves greys alone: every row comes to 1', (kind) => {
    for (const severity of [0, 0.35, 0.7, 1]) {
      const m = deficiencyMatrix(kind, severity);
      for (const i of [0, 3, 6]) expect(m[i]! + m[i + 1]! + m[i + 2]!).toBeCloseTo(1, 4);
      expect(simulate(rgba('#808080'), kind, severity)).toEqual(rgba('#808080'));
    }
  });

  it('changes nothing at severity 0, and gives whole channels in range for anything', () => {
    const channel = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(
        channel,
        channel,
        channel,
        fc.constantFrom(...KINDS),
        fc.double(),
        (r, g, b, kind, severity) => {
          expect(simulate({ r, g, b, alpha: 1 }, kind, 0)).toEqual({ r, g, b, alpha: 1 });
          const seen = simulate({ r, g, b, alpha: 1 }, kind, severity);
          for (const v of [seen.r, seen.g, seen.b])
            expect(Number.isInteger(v) && v >= 0 && v <= 255).toBe(true);
        },
      ),
    );
  });

  it('shows achromats luminance only', () => {
    const { r, g, b } = simulate(rgba('#e2552b'), 'achromat');
    expect([g, b]).toEqual([r, r]);
    expect(luminance({ r, g, b, alpha: 1 })).toBeCloseTo(0.2277, 2);
  });

  it('finds the red and green that become twins, says for whom, and leaves twins out that are twins anyway', () => {
    const colors = ['#a83a32', '#6b6b1f', '#0b5f6b', '#0b5f6c'].map(rgba);
    const twins = visionTwins(colors, 1, 0.06);
    expect(twins.some(({ a, b, deficiency }) => a === 0 && b === 1 && /protan|deutan/.test(deficiency))).toBe(
      true,
    );
    expect(twins.some(({ a, b }) => a === 2 && b === 3)).toBe(false);
    for (const twin of twins) expect(twin.people).toBeGreaterThan(0);
    expect(visionTwins(colors, 0)).toEqual([]);
  });
});
