import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { Command } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { plainLink } from '../../document/links/link.ts';
import type { Backdrop } from '../../document/pairs/backdrop.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import { repairAll, repairCommands } from '../../edits/repairs/repair-all.ts';
import { repairPair } from '../../edits/repairs/repair-pair.ts';
import { waysOf } from '../../edits/repairs/ways.ts';
import { drain } from '../../in-parts/drain.ts';
import { areaColors } from '../../picture/area-colors.ts';
import { type Regions, wantedRegions } from '../../system/pictures/regions.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { reportOf } from '../readout/report.ts';
import { wholeReadout } from '../readout/whole-readout.fixture.ts';

const HERO: Backdrop = {
  kind: 'gradient',
  gradient: 'first-light',
  width: 900,
  height: 144,
  text: { x: 28, y: 60, width: 420, height: 64 },
};
const onHero = (more: Partial<Pair>): Pair => ({
  id: 'hero',
  foreground: 'hero-text',
  background: 'page-ground',
  target: { level: 'AA', content: 'large' },
  size: 28,
  weight: 400,
  backdrop: HERO,
  ...more,
});
const withHero = (more: Partial<Pair> = {}) => after(SKERRY_LINE, { type: 'addPair', pair: onHero(more) });
const measured = (doc: ProjectDocument, theme = 'day', regions?: Regions) =>
  wholeReadout(resolveSystem(doc, undefined, regions))
    .measured.get(theme)!
    .measurements.at(-1)!;

describe('a text over a gradient', () => {
  it('is measured at its worst place, which lies where the text is lightest under it', () => {
    const { ratio, over, passes } = measured(withHero());
    // The text ends at 448 of 900 px, on the way from Deepwater 900 at 0 % to Deepwater 600 at 46 %.
    expect(over!.worst.x).toBeGreaterThan(400);
    expect([passes, over!.failing]).toEqual([true, 0]);
    const further = measured(withHero({ backdrop: { ...HERO, text: { ...HERO.text, x: 470 } } }));
    expect(further.ratio).toBeLessThan(ratio);
    expect(further.passes).toBe(false);
    expect(further.over!.failing).toBeGreaterThan(0.1);
    expect(further.over!.failing).toBeLessThan(1);
  });

  it('follows its gradient, its veil, its place and what it is on, and nothing else, as if measured anew', () => {
    const doc = withHero({ veil: 'hero-veil' });
    const commands: Command[] = [
      { type: 'setBase', family: 'deepwater', color: '#3f8f9b' },
      { type: 'setLink', role: 'hero-veil', theme: 'day', link: { to: 'color', color: '#00000040' } },
      {
        type: 'linkStop',
        gradient: 'first-light',
        stop: 'open-sea',
        link: { to: 'color', color: '#ffffff80' },
      },
      { type: 'setLink', role: 'page-ground', theme: 'day', link: { to: 'color', color: '#202020' } },
      { type: 'setPair', pair: 'hero', change: { backdrop: { ...HERO, text: { ...HERO.text, y: 0 } } } },
      { type: 'setPair', pair: 'hero', change: { veil: null } },
      { type: 'setPair', pair: 'hero', change: { backdrop: null, veil: 'hero-veil' } },
      { type: 'renameTheme', theme: 'day', name: 'Morning' },
    ];
    let [now, system] = [doc, resolveSystem(doc)];
    let readout = wholeReadout(system);
    const seen = new Set([readout.measured.get('day')!.measurements.at(-1)!.ratio]);
    for (const command of commands) {
      now = after(now, command);
      system = resolveSystem(now, system);
      readout = wholeReadout(system, readout);
      const anew = wholeReadout(resolveSystem(now));
      const [a, b] = [readout, anew].map((one) => one.measured.get('day')!.measurements.at(-1)!);
      expect([a!.ratio, a!.over?.failing]).toEqual([b!.ratio, b!.over?.failing]);
      expect(readout.passingOverall).toBe(anew.passingOverall);
      seen.add(a!.ratio);
    }
    expect(seen.size).toBeGreaterThan(5);
    const same = wholeReadout(
      resolveSystem(after(now, { type: 'renameProject', name: 'Other' }), system),
      readout,
    );
    expect(same.measured.get('night')).toBe(readout.measured.get('night'));
  });

  it('has no ratio where its gradient, its veil or its picture is gone, and is told as broken', () => {
    for (const doc of [
      after(withHero(), { type: 'removeGradient', gradient: 'first-light' }),
      after(withHero({ veil: 'hero-veil' }), { type: 'removeRole', role: 'hero-veil' }),
      withHero({ backdrop: { kind: 'picture', picture: 'gone', text: HERO.text } }),
    ]) {
      const readout = wholeReadout(resolveSystem(doc));
      expect(measured(doc)).toMatchObject({ ratio: 0, passes: false, text: null, awaited: false });
      expect(readout.broken.some(({ kind, id }) => kind === 'pair' && id === 'hero')).toBe(true);
    }
  });
});

describe('a text over a picture', () => {
  const picture = {
    id: 'quay',
    name: 'Quay',
    content: 'ab'.repeat(32),
    width: 4,
    height: 2,
    markers: [],
    moved: [],
    textOver: null,
  };
  const doc = after(
    SKERRY_LINE,
    { type: 'addPicture', picture },
    {
      type: 'addPair',
      pair: onHero({
        backdrop: { kind: 'picture', picture: 'quay', text: { x: 2, y: 0, width: 9, height: 9 } },
      }),
    },
  );
  // What lies in it of 4 × 2 px: black, black / grey, white.
  const pixels = Uint8Array.from([0, 0, 0, 255, 0, 0, 0, 255, 128, 128, 128, 255, 255, 255, 255, 255]);
  const [wanted] = wantedRegions(doc);
  const regions: Regions = new Map([[wanted!.key, areaColors(pixels)]]);

  it('waits for the pixels that it asks for, and tells the share on which it fails', () => {
    expect(wanted!.area).toEqual({ x: 2, y: 0, width: 2, height: 2 });
    expect(measured(doc)).toMatchObject({ awaited: true, passes: false, ratio: 0 });
    const { ratio, over, awaited } = measured(doc, 'day', regions);
    expect([ratio, awaited, over!.failing, over!.worst]).toEqual([1, false, 0.25, { x: 3.5, y: 1.5 }]);
    // They come later, and nothing else is measured again.
    const system = resolveSystem(doc);
    const before = wholeReadout(system);
    const later = wholeReadout(resolveSystem(doc, system, regions), before);
    const [was, is] = [before, later].map((one) => one.measured.get('day')!.measurements);
    expect(is!.at(-1)!.over!.failing).toBe(0.25);
    expect(is!.slice(0, -1).every((one, i) => one === was![i])).toBe(true);
    expect(reportOf(before, 1, '').themes[0]!.pairs.find(({ pair }) => pair === 'hero')!.verdict).toBe(
      'unmeasured',
    );
  });

  it('is offered the least veil with which it passes: a hundredth less does not', () => {
    const system = resolveSystem(doc, undefined, regions);
    const readout = wholeReadout(system);
    const failing = readout.measured.get('day')!.measurements.at(-1)!;
    const ways = waysOf(readout, failing);
    const way = ways.find(({ key }) => key === 'veil')!;
    expect(way.name).toMatch(/^a veil of \w+ \d+ at \d+ %$/);
    const mended = after(doc, way.command);
    expect(measured(mended, 'day', regions)).toMatchObject({ passes: true, ratio: way.ratio });
    // In the other theme too, as much as is needed there.
    expect(measured(mended, 'night', regions).passes).toBe(true);
    const veil = mended.pairs.at(-1)!.veil!;
    const link = plainLink(mended.roles.find(({ id }) => id === veil)!.links.day)!;
    const less = after(mended, {
      type: 'setLink',
      role: veil,
      theme: 'day',
      link: { ...link, opacity: link.opacity! - 0.01 },
    });
    expect(measured(less, 'day', regions).passes).toBe(false);
    // Of a veil that is there already, more is offered.
    const again = wholeReadout(resolveSystem(less, undefined, regions));
    const more = repairPair(
      again.system,
      again.system.themes.get('day')!,
      again.measured.get('day')!.measurements.at(-1)!,
    );
    expect(more).toMatchObject({ kind: 'repair', side: 'veil', command: { type: 'setLink', role: veil } });
    const command = more.kind === 'repair' ? more.command : null;
    expect(command?.type === 'setLink' && plainLink(command.link)?.opacity).toBeCloseTo(link.opacity!, 6);
  });

  it('says why nothing can, and the best there is', () => {
    const strict = after(doc, {
      type: 'setPair',
      pair: 'hero',
      change: { target: { level: 'AAA', content: 'body' }, veil: 'hero-veil' },
    });
    // A grey as far from black as from white: not even all of either does it under such a text.
    const half = after(
      strict,
      { type: 'setLink', role: 'hero-veil', theme: 'day', link: { to: 'color', color: '#80808080' } },
      { type: 'setLink', role: 'hero-text', theme: 'day', link: { to: 'color', color: '#757575' } },
    );
    const { system, measured: all } = wholeReadout(resolveSystem(half, undefined, regions));
    const found = repairPair(system, system.themes.get('day')!, all.get('day')!.measurements.at(-1)!);
    expect(found).toMatchObject({
      kind: 'none',
      reason: expect.stringMatching(
        /^No text and no veil reaches 7 everywhere here: at best .+ gives \d\.\d\d at its worst place/,
      ),
    });
  });
});

describe('repairing all with texts over gradients', () => {
  it('mends them by their texts, keeps what they lie on, and lets nothing fail that passed', () => {
    const doc = withHero({ backdrop: { ...HERO, text: { ...HERO.text, x: 470 } } });
    const all = drain(repairAll(resolveSystem(doc)));
    const next = after(doc, { type: 'batch', label: 'repair', commands: repairCommands(all.repairs) });
    const [was, is] = [doc, next].map((one) => wholeReadout(resolveSystem(one)));
    for (const [theme, { measurements }] of was!.measured)
      measurements.forEach(({ passes }, i) => {
        if (passes) expect(is!.measured.get(theme)!.measurements[i]!.passes).toBe(true);
      });
    // One text stands on too much, from dark to light: no text would pass there.
    expect(is!.passingOverall).toBe(all.failing + was!.passingOverall - 1);
    expect(all.repairs.map(({ role }) => role)).not.toContain('page-ground');
  });
});

describe('pairs that are exempt', () => {
  const exempt = { as: 'decoration', reason: 'Only drawn.' } as const;
  const board = SKERRY_LINE.pairs.find(({ foreground }) => foreground === 'board-quiet')!.id;
  const doc = after(SKERRY_LINE, { type: 'setPair', pair: board, change: { exempt } });

  it('are counted neither as passing nor as failing, and keep their ratio and reason in the report', () => {
    const readout = wholeReadout(resolveSystem(doc));
    expect([readout.pairs, readout.exempt, readout.passingOverall]).toEqual([17, 1, 32]);
    const report = reportOf(readout, 1, '');
    expect([report.passing, report.of, report.exempt]).toEqual([32, 34, 1]);
    expect(report.themes[1]!.pairs.at(-1)).toMatchObject({
      pair: board,
      verdict: 'exempt',
      exempt,
      ratio: '3.33',
      required: 4.5,
    });
  });

  it('ask nothing of repairs', () => {
    const all = drain(repairAll(resolveSystem(doc)));
    expect(all.failing).toBe(2);
    expect(all.repairs.flatMap(({ pairs }) => pairs)).not.toContain(board);
  });

  it('are exempt no more when that is taken away', () => {
    expect(after(doc, { type: 'setPair', pair: board, change: { exempt: null } })).toEqual(SKERRY_LINE);
  });
});
