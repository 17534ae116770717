import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../test/runs.ts';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { after } from '../document/commands/after.fixture.ts';
import { applyCommand } from '../document/commands/apply.ts';
import { command } from '../document/commands/random-command.fixture.ts';
import { ENTWINED, SMALL } from '../document/commands/small-documents.fixture.ts';
import {
  alikeIn,
  allMeasurements,
  passingIn,
  type Readout,
  readoutInParts,
  readoutOf,
} from '../judged/readout/readout.ts';
import type { Painted } from './painted.ts';
import { resolveSystem, type System } from './resolve.ts';

/** A colour as it is painted. A target may be a shade, which knows more of itself than what points to it goes by. */
const look = (c: Painted | null | undefined) => c && [c.css, c.r, c.g, c.b, c.alpha, c.outside];

/** What a system comes to, without how it was made. */
const outcome = (system: System) => ({
  shades: [...system.families].map(([id, f]) => [id, f.base, f.ground, f.problem, f.shades]),
  themes: [...system.themes].map(([id, theme]) => [
    id,
    [...theme.roles].map(([role, r]) => [role, look(r.color), r.problem, r.source, r.opacity]).sort(),
    [...theme.gradients].map(([gradient, g]) => [gradient, g.colors.map(look)]),
  ]),
});

/** What a readout says, without how it was made. */
const counts = (readout: Readout) => ({
  measurements: allMeasurements(readout),
  passing: [...readout.measured].map(([id, { passing }]) => [id, passing]),
  alike: [...readout.measured.keys()].map((id) => alikeIn(readout, id)),
  outside: readout.outside,
  handSet: readout.handSet,
  broken: readout.broken,
  notes: readout.notes,
  overall: [readout.pairs, readout.themes, readout.passingOverall],
});

const roleColor = (system: System, theme: string, role: string) =>
  system.themes.get(theme)?.roles.get(role)?.color?.css;

describe('resolving', () => {
  const demo = resolveSystem(SKERRY_LINE);

  it('follows roles, shades, plain colours and opacities', () => {
    expect(roleColor(demo, 'day', 'action-fill')).toBe('#0b5f6b');
    expect(roleColor(demo, 'day', 'page-raised')).toBe('#ffffff');
    expect(roleColor(demo, 'night', 'board-text')).toBe(roleColor(demo, 'night', 'board-quiet'));
    expect(roleColor(demo, 'day', 'hero-veil')).toMatch(/^rgb\(\d+ \d+ \d+ \/ 0\.65\)$/);
    const chained = after(SKERRY_LINE, {
      type: 'setLink',
      role: 'text-quiet',
      theme: 'day',
      link: { to: 'role', role: 'hero-veil', opacity: 0.5 },
    });
    expect(resolveSystem(chained).themes.get('day')?.roles.get('text-quiet')?.color?.alpha).toBeCloseTo(
      0.325,
      10,
    );
  });

  it('makes everything follow when one base changes, in every theme, and leaves the rest alone', () => {
    const changed = after(SKERRY_LINE, { type: 'setBase', family: 'deepwater', color: '#7a1f5c' });
    const next = resolveSystem(changed, demo);
    expect(roleColor(next, 'day', 'action-fill')).toBe('#7a1f5c');
    expect(roleColor(next, 'night', 'action-fill')).not.toBe(roleColor(demo, 'night', 'action-fill'));
    const wake = (system: System) =>
      system.themes
        .get('day')!
        .gradients.get('wake')!
        .colors.map((c) => c?.css);
    expect(wake(next)[0]).toBe('#7a1f5c');
    expect(wake(next)[2]).not.toBe(wake(demo)[2]);
    expect(next.families.get('buoy')).toBe(demo.families.get('buoy'));
    expect(next.themes.get('day')!.roles.get('accent-fill')).toBe(
      demo.themes.get('day')!.roles.get('accent-fill'),
    );
  });

  it('comes to the same step by step as in one go, over random edits of every kind', () => {
    const starts = fc.constantFrom(SMALL, ENTWINED);
    fc.assert(
      fc.property(starts, fc.array(command, { maxLength: 10 }), (start, commands) => {
        let doc = start;
        let system = resolveSystem(doc);
        let readout = readoutOf(system);
        for (const next of commands) {
          const result = applyCommand(doc, next);
          if (!result.ok) continue;
          doc = result.document;
          system = resolveSystem(doc, system);
          // What was looked at is carried on from step to step, so look.
          outcome(system);
          readout = readoutOf(system, readout);
        }
        const anew = resolveSystem(structuredClone(doc));
        expect(outcome(system)).toEqual(outcome(anew));
        expect(counts(readout)).toEqual(counts(readoutOf(anew)));
      }),
      { numRuns: runs(1200) },
    );
  });

  it('touches nothing but what an edit changes', () => {
    const readout = readoutOf(demo);
    const theme = (system: System, id: string) => system.themes.get(id)!;
    const linked = after(SKERRY_LINE, {
      type: 'setLink',
      role: 'text-quiet',
      theme: 'day',
      link: { to: 'color', color: '#123456' },
    });
    const next = resolveSystem(linked, demo);
    expect(theme(next, 'night').roles.get('page-ground')).toBe(theme(demo, 'night').roles.get('page-ground'));
    expect(theme(next, 'day').gradients.get('wake')).toBe(theme(demo, 'day').gradients.get('wake'));
    const counted = readoutOf(next, readout);
    const kept = counted.measured
      .get('day')!
      .measurements.filter((m, i) => m === readout.measured.get('day')!.measurements[i]);
    expect(kept).toHaveLength(16);
    const moved = after(SKERRY_LINE, {
      type: 'moveStop',
      gradient: 'wake',
      stop: 'trough',
      places: [{ value: 50, unit: '%' }],
    });
    const stopped = resolveSystem(moved, demo);
    expect(theme(stopped, 'day').roles).toBe(theme(demo, 'day').roles);
    expect(theme(stopped, 'day').gradients.get('first-light')).toBe(
      theme(demo, 'day').gradients.get('first-light'),
    );
    const { id: _, ...first } = SKERRY_LINE.pairs[0]!;
    const paired = after(SKERRY_LINE, { type: 'addPair', pair: { id: 'new', ...first }, index: 0 });
    const measured = readoutOf(resolveSystem(paired, demo), readout).measured.get('day')!.measurements;
    expect(measured.slice(1).every((m, i) => m === readout.measured.get('day')!.measurements[i])).toBe(true);
    expect(measured[0]).toMatchObject({ pair: { id: 'new' }, ratio: measured[1]!.ratio });
  });

  it('counts several systems in turns, each to its own end', () => {
    const states = ['#7a1f5c', '#12456a', '#0b5f6b'].map((color) =>
      after(SKERRY_LINE, { type: 'setBase', family: 'deepwater', color }),
    );
    const before = readoutOf(demo);
    const under = states.map((doc) => readoutInParts(resolveSystem(doc, demo), before));
    const ended: (Readout | undefined)[] = states.map(() => undefined);
    let turns = 0;
    while (ended.includes(undefined)) {
      under.forEach((parts, i) => {
        const step = ended[i] ? null : parts.next();
        if (step?.done) ended[i] = step.value;
      });
      turns += 1;
    }
    expect(turns).toBeGreaterThan(2);
    states.forEach((doc, i) => {
      expect(counts(ended[i]!)).toEqual(counts(readoutOf(resolveSystem(structuredClone(doc)))));
    });
  });

  it('holds several systems at once, each in its own state', () => {
    const states = ['#7a1f5c', '#12456a', '#0b5f6b'].map((color) =>
      after(SKERRY_LINE, { type: 'setBase', family: 'deepwater', color }),
    );
    const systems = states.map((doc) => resolveSystem(doc, demo));
    const readouts = systems.map((system) => readoutOf(system, readoutOf(demo)));
    states.forEach((doc, i) => {
      const anew = resolveSystem(structuredClone(doc));
      expect(outcome(systems[i]!)).toEqual(outcome(anew));
      expect(counts(readouts[i]!)).toEqual(counts(readoutOf(anew)));
    });
  });

  it('reports broken links where they are, and mends them when the thing is back', () => {
    const without = after(SKERRY_LINE, { type: 'removeFamily', family: 'kelp' });
    const broken = readoutOf(resolveSystem(without, demo)).broken;
    expect(broken).toHaveLength(4);
    expect(broken[0]).toMatchObject({
      kind: 'role',
      problem: expect.stringContaining('family that no longer exists'),
    });
    const result = applyCommand(SKERRY_LINE, { type: 'removeFamily', family: 'kelp' });
    if (!result.ok) throw new Error(result.reason);
    expect(readoutOf(resolveSystem(after(without, result.inverse))).broken).toEqual([]);
    const noRole = after(SKERRY_LINE, { type: 'removeRole', role: 'board-quiet' });
    const kinds = readoutOf(resolveSystem(noRole)).broken.map((b) => `${b.kind} ${b.id} ${b.theme}`);
    expect(kinds).toContain('role board-text night');
    expect(kinds.filter((kind) => kind.startsWith('pair'))).toHaveLength(2);
  });
});

describe('the readout', () => {
  it('counts pairs in each theme, hand-set shades, colours outside sRGB and twins', () => {
    const readout = readoutOf(resolveSystem(SKERRY_LINE));
    expect(readout).toMatchObject({ pairs: 18, themes: 2, passingOverall: 33 });
    expect(['day', 'night', 'none'].map((id) => passingIn(readout, id))).toEqual([17, 16, 0]);
    const edited = after(
      SKERRY_LINE,
      { type: 'setShade', family: 'kelp', shade: '600', color: 'oklch(0.7 0.35 150)' },
      { type: 'setLink', role: 'line-soft', theme: 'day', link: { to: 'color', color: '#fefefe' } },
    );
    const next = readoutOf(resolveSystem(edited));
    expect(next.handSet).toEqual([{ family: 'kelp', shade: '600' }]);
    expect(next.outside).toEqual([{ family: 'kelp', shade: '600' }]);
    expect(alikeIn(next, 'day')).toEqual([expect.objectContaining({ difference: expect.any(Number) })]);
    expect(alikeIn(next, 'night')).toEqual([]);
  });
});
