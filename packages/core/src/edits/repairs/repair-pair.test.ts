import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Link } from '../../document/links/link.ts';
import { USUAL_GROWTH } from '../../family/growth.ts';
import type { Measurement } from '../../judged/pairs/measurement.ts';
import { allMeasurements, readoutOf } from '../../judged/readout/readout.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { repairPair } from './repair-pair.ts';

describe('measuring and repairing', () => {
  it('offers for every failing pair a repair that then really passes', () => {
    const system = resolveSystem(SKERRY_LINE);
    const failing = allMeasurements(readoutOf(system)).filter((m) => !m.passes);
    expect(failing.map((m) => m.pair.foreground)).toEqual(['notice-delay-text', 'board-text', 'board-quiet']);
    for (const m of failing) {
      const repair = repairPair(system, system.themes.get(m.theme)!, m);
      if (repair.kind !== 'repair') throw new Error(repair.reason);
      const mended = resolveSystem(after(SKERRY_LINE, repair.command), system);
      const again = allMeasurements(readoutOf(mended)).find(
        (other) => other.pair.id === m.pair.id && other.theme === m.theme,
      )!;
      expect(again.passes).toBe(true);
      expect(again.ratio).toBeCloseTo(repair.ratio, 10);
    }
  });

  it('measures a translucent ground over what lies beneath it', () => {
    const pair = SKERRY_LINE.pairs.find((p) => p.background === 'hero-veil')!;
    const measured = (doc: ProjectDocument) =>
      allMeasurements(readoutOf(resolveSystem(doc))).find((m) => m.pair.id === pair.id && m.theme === 'day')!
        .ratio;
    const dark = after(SKERRY_LINE, {
      type: 'setLink',
      role: 'page-ground',
      theme: 'day',
      link: { to: 'color', color: '#000000' },
    });
    expect(measured(dark)).toBeGreaterThan(measured(SKERRY_LINE) + 5);
  });

  const DAY_PAIR = { text: 'accent-text', ground: 'accent-fill' };
  const withLinks = (text: Link, ground: Link) =>
    after(
      SKERRY_LINE,
      { type: 'setLink', role: DAY_PAIR.text, theme: 'day', link: text },
      { type: 'setLink', role: DAY_PAIR.ground, theme: 'day', link: ground },
    );
  const plain = (color: string): Link => ({ to: 'color', color });
  const buoy = (shade: string): Link => ({ to: 'shade', family: 'buoy', shade });

  it.each([
    [
      'the ground by a shade when the text is plain',
      plain('#ffffff'),
      buoy('200'),
      'background',
      /^Buoy \d+$/,
      null,
    ],
    ['the nearer of two plain colours', plain('#ffffff'), plain('#ef7a62'), 'background', /^#/, null],
    [
      'a translucent plain text on its own side',
      plain('rgb(255 255 255 / 0.9)'),
      plain('#ef7a62'),
      'foreground',
      /\/ 0.9\)$/,
      null,
    ],
  ] as const)('repairs %s', (_, text, ground, side, name, cost) => {
    const doc = withLinks(text, ground);
    const system = resolveSystem(doc);
    const isIt = (m: Measurement) => m.pair.foreground === DAY_PAIR.text && m.theme === 'day';
    const repair = repairPair(
      system,
      system.themes.get('day')!,
      allMeasurements(readoutOf(system)).find(isIt)!,
    );
    if (repair.kind !== 'repair') throw new Error(repair.reason);
    expect(repair).toMatchObject({ side, name: expect.stringMatching(name), cost });
    const mended = allMeasurements(readoutOf(resolveSystem(after(doc, repair.command)))).find(isIt)!;
    expect(mended.passes).toBe(true);
    expect(mended.ratio).toBeCloseTo(repair.ratio, 10);
  });

  it('offers to leave a family only when none of its shades passes, and says what that costs', () => {
    const growth = { ...USUAL_GROWTH, lightest: 0.7, darkest: 0.5, labels: ['a', 'b', 'c'] };
    const doc = after(
      withLinks({ to: 'shade', family: 'buoy', shade: 'b' }, plain('rgb(128 128 128 / 0.99)')),
      { type: 'setGrowth', family: 'buoy', growth },
    );
    const system = resolveSystem(doc);
    const measured = allMeasurements(readoutOf(system)).find(
      (m) => m.pair.foreground === DAY_PAIR.text && m.theme === 'day',
    )!;
    const repair = repairPair(system, system.themes.get('day')!, measured);
    expect(repair).toMatchObject({
      kind: 'repair',
      side: 'foreground',
      cost: expect.stringContaining('Buoy'),
    });
    const strict = { ...measured, required: 20 };
    expect(repairPair(system, system.themes.get('day')!, strict)).toMatchObject({
      kind: 'none',
      reason: expect.stringMatching(
        /^The text alone cannot reach 20 here: at best (black|white|\w+ \d+) for the text gives \d+\.\d\d\. Change its ground too/,
      ),
    });
  });
});
