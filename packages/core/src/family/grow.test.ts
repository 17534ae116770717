import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { fromRgb8 } from '../color/parse.ts';
import { luminance } from '../contrast/ratio.ts';
import { emptyDocument } from '../document/document.ts';
import { documentSchema } from '../document/document-schema.ts';
import { type Growth, grow } from './grow.ts';
import { USUAL_GROWTH } from './growth.ts';

const LABELS = ['50', '300', '500', '700', '950'];
const GROWTHS: readonly Growth[] = [
  { ...USUAL_GROWTH, labels: LABELS },
  { kind: 'mix', towards: 'white', labels: LABELS, reach: 0.9 },
  { kind: 'mix', towards: 'black', labels: LABELS, reach: 0.9 },
  { kind: 'opacity', ground: '#ffffff', labels: LABELS, least: 0.1 },
  { kind: 'opacity', ground: '#07191e', labels: LABELS, least: 0.1 },
  { kind: 'contrast', ground: '#ffffff', labels: LABELS, ratios: [1.2, 2, 3, 4.5, 7] },
  { kind: 'contrast', ground: '#07191e', labels: LABELS, ratios: [1.2, 2, 3, 4.5, 7] },
];

describe('growing by any kind', () => {
  it('gives every label its shade, the lightest first, with the base among them', () => {
    const channel = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(channel, channel, channel, fc.constantFrom(...GROWTHS), (r, g, b, growth) => {
        const shades = grow(fromRgb8(r, g, b), growth);
        expect(shades.map((shade) => shade.label)).toEqual(LABELS);
        const base = shades.filter((shade) => shade.isBase);
        expect(base.map((shade) => [shade.r, shade.g, shade.b])).toEqual([[r, g, b]]);
        const light = (i: number) => luminance({ ...shades[i]!, alpha: 1 });
        expect(light(0)).toBeGreaterThanOrEqual(light(4));
      }),
      { numRuns: 600 },
    );
  });

  it('turns the order of the base with the side it is on', () => {
    const shadesOf = (growth: Growth) => grow(fromRgb8(11, 95, 107), growth);
    expect(shadesOf(GROWTHS[1]!).find((shade) => shade.isBase)?.label).toBe('950');
    expect(shadesOf(GROWTHS[2]!).find((shade) => shade.isBase)?.label).toBe('50');
  });
});

describe('a growth in a document', () => {
  const [mix, opacity, contrast] = [GROWTHS[1]!, GROWTHS[3]!, GROWTHS[5]!];
  test.each([
    ['of no known kind', { ...mix, kind: 'magic' }, /kind/],
    ['towards another colour', { ...mix, towards: 'green' }, /towards/],
    ['mixed beyond all', { ...mix, reach: 1.2 }, /reach/],
    ['with settings of another kind', { ...mix, ratios: [1, 2, 3] }, /ratios/],
    ['over no colour', { ...opacity, ground: 'ground' }, /not a CSS colour/],
    ['with too few ratios', { ...contrast, ratios: [3, 4.5] }, /ratios/],
    ['with a ratio below 1', { ...contrast, ratios: [0, 2, 3, 4.5, 7] }, /ratios/],
    ['with a label twice', { ...mix, labels: ['a', 'a', 'b'] }, /labels/],
  ])('%s is refused', (_, growth, reason) => {
    const { ground } = growth as { ground?: string };
    const kept = ground === undefined ? growth : { ...growth, ground: { to: 'color', color: ground } };
    const family = { id: 'f', name: 'Kelp', base: '#3c7d3a', follows: null, growth: kept, handSet: {} };
    const doc = { ...emptyDocument('Skerry Line', [{ id: 'day', name: 'Day sailing' }]), families: [family] };
    expect(documentSchema.validate(doc).error?.message).toMatch(reason);
  });
});
