import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import { emptyDocument } from '../../document/document.ts';
import type { Round } from '../../document/rounds/round.ts';
import { drain } from '../../in-parts/drain.ts';
import { readoutOf } from '../../judged/readout/readout.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { keptAndFree } from './kept.ts';
import { basesOf, type ProposedSystem, proposeSystems } from './propose-systems.ts';

const done = (parts: Generator<number, ProposedSystem[]>): ProposedSystem[] => {
  let last = 0;
  return drain(parts, (share) => {
    expect(share).toBeGreaterThan(last);
    last = share;
  });
};

const round: Round = {
  id: 'r',
  seed: 4711,
  count: 6,
  stray: 0.6,
  kept: ['#0b5f6b'],
  free: SKERRY_LINE.families.slice(1).map(({ id, base }) => ({ family: id, base })),
  way: 'fresh',
  of: [],
};

describe('proposals for a system', () => {
  const made = done(proposeSystems(SKERRY_LINE, round, 9));

  it('say of each what the readout counts once it is adopted, and leave what is kept', () => {
    expect(made).toHaveLength(9);
    for (const { colors, passing, pairs, outside } of made) {
      const commands = basesOf(SKERRY_LINE, round, colors).map(({ family, base }) => ({
        type: 'setBase' as const,
        family,
        color: base,
      }));
      expect(commands.map(({ family }) => family)).toEqual(round.free.map(({ family }) => family));
      const result = applyCommand(SKERRY_LINE, { type: 'batch', label: 'x', commands });
      if (!result.ok) throw new Error(result.reason);
      const readout = readoutOf(resolveSystem(result.document));
      expect([passing, pairs, outside]).toEqual([
        readout.passingOverall,
        readout.pairs * readout.themes,
        readout.outside.length,
      ]);
      expect(result.document.families[0]).toEqual(SKERRY_LINE.families[0]);
      expect(colors[0]).toBe('#0b5f6b');
    }
    expect(made.map(({ passing }) => passing)).toEqual(
      made.map(({ passing }) => passing).toSorted((a, b) => b - a),
    );
  });

  it('are the same from the same recipe, whatever became of the project', () => {
    const later = { ...SKERRY_LINE, families: SKERRY_LINE.families.slice(0, 3) };
    const again = done(proposeSystems(later, round, 9)).map(({ colors }) => colors.join());
    expect(again.toSorted()).toEqual(made.map(({ colors }) => colors.join()).toSorted());
  });

  it('paint a small page by the roles of the system, or by their colours where there are none', () => {
    const paper = made[0]!.page;
    expect(paper.hero).toContain('linear-gradient(');
    expect(paper.warning).toBeDefined();
    const empty = emptyDocument('x', [{ id: 't', name: 'T' }]);
    const [first] = done(proposeSystems(empty, { ...round, kept: [], free: [], count: 5 }, 3));
    expect(first!.colors).toContain(first!.page.page);
    expect(first!.colors).toContain(first!.page.action);
    expect(first!.pairs).toBe(0);
  });
});

describe('what is kept', () => {
  const nothing = { families: [], swatches: [], roles: [] };
  it('is every family’s base that is named, colours of the tray, and what roles lead to in any theme', () => {
    const { families, roles, tray } = SKERRY_LINE;
    expect(keptAndFree(SKERRY_LINE, nothing)).toEqual({
      kept: [],
      free: families.map(({ id, base }) => ({ family: id, base })),
    });
    const swatch = tray[2]!;
    const some = keptAndFree(SKERRY_LINE, { ...nothing, families: ['buoy'], swatches: [swatch.id] });
    expect(some.kept).toEqual([families.find(({ id }) => id === 'buoy')!.base, swatch.color]);
    expect(some.free.map(({ family }) => family)).not.toContain('buoy');
    for (const role of roles) {
      const { kept, free } = keptAndFree(SKERRY_LINE, { ...nothing, roles: [role.id] });
      const made = done(proposeSystems(SKERRY_LINE, { ...round, kept, free, count: 3 }, 1))[0]!;
      const commands = basesOf(SKERRY_LINE, { ...round, kept, free }, made.colors).map(
        ({ family, base }) => ({
          type: 'setBase' as const,
          family,
          color: base,
        }),
      );
      const result = applyCommand(SKERRY_LINE, { type: 'batch', label: 'x', commands });
      if (!result.ok) throw new Error(result.reason);
      const [before, after] = [SKERRY_LINE, result.document].map((doc) =>
        [...resolveSystem(doc).themes.values()].map((theme) => theme.roles.get(role.id)?.color?.css),
      );
      expect(after, role.id).toEqual(before);
    }
  });
});
