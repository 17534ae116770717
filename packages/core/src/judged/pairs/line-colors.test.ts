import fc from 'fast-check';
import { expect, test } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { worstOfBoth } from '../../contrast/over-colors.ts';
import { contrastRatio } from '../../contrast/ratio.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Gradient } from '../../document/gradients/gradient.ts';
import { stopAt } from '../../document/gradients/gradient.ts';
import type { Link } from '../../document/links/link.ts';
import { MIXING_SPACES } from '../../gradient/interpolate.ts';
import { resolveSystem, type System } from '../../system/resolve.ts';
import { alongLine } from './line-colors.ts';

/** The families alone. */
const BARE: ProjectDocument = { ...SKERRY_LINE, roles: [], pairs: [], ground: null, tray: [], pictures: [] };
const FAMILIES = SKERRY_LINE.families.map(({ id, growth }) => ({ id, labels: growth.labels }));
const link: fc.Arbitrary<Link> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc
      .tuple(fc.constantFrom(...FAMILIES), fc.nat())
      .map(
        ([{ id, labels }, n]) => ({ to: 'shade', family: id, shade: labels[n % labels.length]! }) as const,
      ),
  },
  { weight: 1, arbitrary: fc.constant({ to: 'color', color: '#ff880044' } as const) },
  { weight: 1, arbitrary: fc.constant({ to: 'shade', family: 'gone', shade: '500' } as const) },
);
/** Stops at places of which some are shared, which makes hard edges, with hints between some. */
const gradient: fc.Arbitrary<Gradient> = fc
  .record({
    space: fc.constantFrom(...MIXING_SPACES),
    stops: fc.array(
      fc.record({
        link,
        place: fc.nat(20),
        hint: fc.option(fc.double({ min: 0.05, max: 0.95, noNaN: true })),
      }),
      { minLength: 2, maxLength: 9 },
    ),
  })
  .map(({ space, stops }) => {
    const sorted = stops.toSorted((a, b) => a.place - b.place);
    return {
      ...SKERRY_LINE.gradients[0]!,
      id: 'own',
      space,
      stops: sorted.flatMap((stop, i) => {
        const next = sorted[i + 1];
        const here = stopAt(`s${i}`, stop.place * 5, stop.link);
        if (stop.hint === null || !next || next.place === stop.place) return [here];
        const value = (stop.place + (next.place - stop.place) * stop.hint) * 5;
        return [here, { kind: 'hint' as const, place: { value, unit: '%' as const } }];
      }),
    };
  });
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

const lineIn = (system: System) => alongLine(system.themes.get('day')!.gradients.get('own')!);

test('a line that goes on from the one with other colours is the line itself', () => {
  fc.assert(
    fc.property(
      gradient,
      fc.array(fc.record({ family: fc.constantFrom(...FAMILIES), color: hex, looked: fc.boolean() }), {
        minLength: 1,
        maxLength: 6,
      }),
      (own, moves) => {
        let doc: ProjectDocument = { ...BARE, gradients: [own] };
        let system = resolveSystem(doc);
        lineIn(system);
        for (const { family, color, looked } of moves) {
          doc = after(doc, { type: 'setBase', family: family.id, color });
          system = resolveSystem(doc, system);
          // Now and then nobody looks at it.
          if (!looked) continue;
          const [line, anew] = [lineIn(system), lineIn(resolveSystem(structuredClone(doc)))];
          expect(line?.seen).toEqual(anew?.seen);
          expect(line?.grounds).toEqual(anew?.grounds);
        }
      },
    ),
    { numRuns: runs(300) },
  );
});

test('of two lines the worst is the worst of each colour on each', () => {
  fc.assert(
    fc.property(gradient, gradient, (one, other) => {
      const gradients = [one, { ...other, id: 'other' }];
      const theme = resolveSystem({ ...BARE, gradients }).themes.get('day')!;
      const [a, b] = ['own', 'other'].map((id) => alongLine(theme.gradients.get(id)!)?.grounds);
      fc.pre(Boolean(a && b));
      const colorsOf = ({ rgb }: { rgb: Uint8Array }) =>
        new Set(Array.from({ length: rgb.length / 3 }, (_, i) => rgb.slice(i * 3, i * 3 + 3).join(' ')));
      let least = 21;
      for (const x of colorsOf(a!))
        for (const y of colorsOf(b!)) {
          const [p, q] = [x, y].map((text) => text.split(' ').map(Number));
          const ratio = contrastRatio(
            { r: p![0]!, g: p![1]!, b: p![2]!, alpha: 1 },
            { r: q![0]!, g: q![1]!, b: q![2]!, alpha: 1 },
          );
          least = Math.min(least, ratio);
        }
      expect(worstOfBoth(a!, b!).ratio).toBeCloseTo(least, 12);
    }),
    { numRuns: runs(100) },
  );
});
