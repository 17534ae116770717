import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isLong, runs } from '../../../test/runs.ts';
import { shareFailing } from '../../contrast/over-colors.ts';
import { contrastRatio, paintedOver, type Rgba, reaches } from '../../contrast/ratio.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { Backdrop } from '../../document/pairs/backdrop.ts';
import { allMeasurements } from '../../judged/readout/readout.ts';
import { wholeReadout } from '../../judged/readout/whole-readout.fixture.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { repairPair } from './repair-pair.ts';

const greys: readonly Rgba[] = Array.from({ length: 256 }, (_, v) => ({ r: v, g: v, b: v, alpha: 1 }));
const hex = fc.integer({ min: 0, max: 0xffffff }).map((v) => `#${v.toString(16).padStart(6, '0')}`);
const alpha = fc.oneof(
  fc.constant(1),
  fc.integer({ min: 5, max: 99 }).map((v) => v / 100),
);
const target = fc.constantFrom(
  { level: 'AA', content: 'body' } as const,
  { level: 'AAA', content: 'body' } as const,
  { level: 'AA', content: 'large' } as const,
);
const [TEXT, GROUND] = ['text-main', 'page-raised'];

/** Where it is said that nothing can do it, everything was tried. */
describe('that nothing can mend a pair', () => {
  const pairOf = (doc: typeof SKERRY_LINE) =>
    doc.pairs.find(({ foreground, background }) => foreground === TEXT && background === GROUND)!.id;

  it('is said only where neither any text nor any ground does it, of one colour each', () => {
    let none = 0;
    fc.assert(
      fc.property(hex, hex, alpha, alpha, target, (text, ground, a, b, asked) => {
        const link = (color: string, opacity: number) =>
          ({ to: 'color', color, ...(opacity < 1 ? { opacity } : {}) }) as const;
        const doc = after(
          SKERRY_LINE,
          { type: 'setLink', role: TEXT, theme: 'day', link: link(text, a) },
          { type: 'setLink', role: GROUND, theme: 'day', link: link(ground, b) },
          { type: 'setPair', pair: pairOf(SKERRY_LINE), change: { target: asked } },
        );
        const system = resolveSystem(doc);
        const measured = allMeasurements(wholeReadout(system)).find(
          ({ pair, theme }) => theme === 'day' && pair.id === pairOf(doc),
        )!;
        if (measured.passes) return;
        const found = repairPair(system, system.themes.get('day')!, measured);
        if (found.kind === 'repair') {
          const now = allMeasurements(wholeReadout(resolveSystem(after(doc, found.command)))).find(
            ({ pair, theme }) => theme === 'day' && pair.id === pairOf(doc),
          )!;
          expect(now.passes).toBe(true);
          return;
        }
        none += 1;
        const { required, ground: seen } = measured;
        const anyText = greys.some((grey) => reaches(contrastRatio(grey, seen!), required));
        expect(anyText).toBe(false);
        const front = system.themes.get('day')!.roles.get(TEXT)!.color!;
        if (/^Neither side/.test(found.reason))
          expect(greys.some((grey) => reaches(contrastRatio(paintedOver(front, grey), grey), required))).toBe(
            false,
          );
      }),
      { numRuns: runs(1500) },
    );
    expect(none).toBeGreaterThan(0);
  });

  it('is said only where neither any text nor any veil does it, over a gradient', () => {
    let none = 0;
    const backdrop: Backdrop = {
      kind: 'gradient',
      gradient: 'first-light',
      width: 400,
      height: 100,
      text: { x: 10, y: 10, width: 300, height: 60 },
    };
    fc.assert(
      fc.property(hex, hex, hex, target, fc.boolean(), (text, from, to, asked, veiled) => {
        const stops = SKERRY_LINE.gradients.find(({ id }) => id === 'first-light')!.stops;
        const ids = stops.flatMap((item) => (item.kind === 'stop' ? item.id : []));
        const doc = after(
          SKERRY_LINE,
          ...ids.map((stop, i) => ({
            type: 'linkStop' as const,
            gradient: 'first-light',
            stop,
            link: { to: 'color' as const, color: i % 2 ? from : to },
          })),
          { type: 'setLink', role: TEXT, theme: 'day', link: { to: 'color', color: text } },
          {
            type: 'setPair',
            pair: pairOf(SKERRY_LINE),
            change: { target: asked, backdrop, ...(veiled ? { veil: 'hero-veil' } : {}) },
          },
        );
        const system = resolveSystem(doc);
        const theme = system.themes.get('day')!;
        const measured = wholeReadout(system)
          .measured.get('day')!
          .measurements.find(({ pair }) => pair.id === pairOf(doc))!;
        if (measured.passes || !measured.over) return;
        const found = repairPair(system, theme, measured);
        if (found.kind === 'repair') {
          const now = wholeReadout(resolveSystem(after(doc, found.command)))
            .measured.get('day')!
            .measurements.find(({ pair }) => pair.id === pairOf(doc))!;
          expect(now.passes).toBe(true);
          return;
        }
        none += 1;
        const { required, over } = measured;
        for (const grey of greys) expect(shareFailing(grey, over.grounds, required)).toBeGreaterThan(0);
        // All of a veil is as much as a veil can do, and any luminance is a grey's.
        const front = theme.roles.get(TEXT)!.color!;
        expect(greys.some((grey) => reaches(contrastRatio(front, grey), required))).toBe(false);
      }),
      { numRuns: runs(600) },
    );
    if (isLong) expect(none).toBeGreaterThan(0);
  }, 240_000);
});
