import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { after } from './after.fixture.ts';
import { applyCommand } from './commands/apply.ts';
import type { Command } from './commands/command.ts';
import { readoutOf } from './readout.ts';
import { resolveSystem, type System } from './resolve.ts';
import { starterRoles, suggestedPairs } from './suggestions.ts';

/** What a system comes to, without how it was made. */
const outcome = (system: System) => ({
  shades: [...system.families].map(([id, f]) => [id, f.shades]),
  themes: [...system.themes].map(([id, theme]) => [
    id,
    [...theme.roles].map(([role, r]) => [role, r.color, r.problem, r.source, r.opacity]).sort(),
    [...theme.gradients].map(([gradient, g]) => [gradient, g.colors]),
  ]),
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

  it('comes to the same step by step as in one go, over random edits', () => {
    const families = fc.constantFrom(...SKERRY_LINE.families.map((f) => f.id));
    const color = fc.constantFrom('#7a1f5c', '#ffffff', '#010203', 'oklch(0.7 0.3 150)', '#88aa33');
    const edit: fc.Arbitrary<Command> = fc.oneof(
      fc.record({ type: fc.constant('setBase' as const), family: families, color }),
      fc.record({
        type: fc.constant('setShade' as const),
        family: families,
        shade: fc.constantFrom('500', '950'),
        color,
      }),
      fc.record({
        type: fc.constant('setLink' as const),
        role: fc.constantFrom(...SKERRY_LINE.roles.map((r) => r.id)),
        theme: fc.constantFrom('day', 'night'),
        link: fc.record({
          to: fc.constant('role' as const),
          role: fc.constantFrom('text-main', 'action-fill', 'gone'),
        }),
      }),
      fc.record({ type: fc.constant('removeFamily' as const), family: families }),
      fc.record({
        type: fc.constant('setGrowth' as const),
        family: families,
        growth: fc.constant({ ...SKERRY_LINE.families[0]!.growth, labels: ['50', '500', '900'] }),
      }),
    );
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 10 }), (edits) => {
        let doc = SKERRY_LINE;
        let system = demo;
        for (const command of edits) {
          const result = applyCommand(doc, command);
          if (!result.ok) continue;
          doc = result.document;
          system = resolveSystem(doc, system);
          // What was looked at is carried on from step to step, so look.
          outcome(system);
          readoutOf(system);
        }
        const anew = resolveSystem(structuredClone(doc));
        expect(outcome(system)).toEqual(outcome(anew));
        expect(readoutOf(system)).toEqual(readoutOf(anew));
      }),
      { numRuns: 200 },
    );
  });

  it('reports broken links where they are, and mends them when the thing is back', () => {
    const without = after(SKERRY_LINE, { type: 'removeFamily', family: 'kelp' });
    const broken = readoutOf(resolveSystem(without, demo)).broken;
    expect(broken).toHaveLength(4);
    expect(broken[0]).toMatchObject({
      kind: 'role',
      problem: expect.stringContaining('family that does not exist'),
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
    expect(readout).toMatchObject({
      pairs: 18,
      themes: 2,
      passing: { day: 17, night: 16 },
      passingOverall: 33,
    });
    const edited = after(
      SKERRY_LINE,
      { type: 'setShade', family: 'kelp', shade: '600', color: 'oklch(0.7 0.35 150)' },
      { type: 'setLink', role: 'line-soft', theme: 'day', link: { to: 'color', color: '#fefefe' } },
    );
    const next = readoutOf(resolveSystem(edited));
    expect(next.handSet).toEqual([{ family: 'kelp', shade: '600' }]);
    expect(next.outside).toEqual([{ family: 'kelp', shade: '600' }]);
    expect(next.alike.day).toEqual([expect.objectContaining({ difference: expect.any(Number) })]);
    expect(next.alike.night).toEqual([]);
  });
});

describe('suggestions', () => {
  it('give a project with one family roles and pairs that all pass', () => {
    let n = 0;
    const newId = () => `n${++n}`;
    const bare = { ...SKERRY_LINE, ground: null, roles: [], pairs: [], gradients: [] };
    const doc = after(bare, { type: 'batch', label: 'x', commands: starterRoles(bare, newId) });
    expect(doc.roles.map((role) => role.path)).toContain('text/main');
    expect(doc.ground).toBe(doc.roles[0]!.id);
    const pairs = suggestedPairs(doc, newId);
    expect(pairs).toHaveLength(6);
    const paired = after(doc, {
      type: 'batch',
      label: 'x',
      commands: pairs.map((pair) => ({ type: 'addPair', pair })),
    });
    expect(readoutOf(resolveSystem(paired)).passingOverall).toBe(12);
    expect(suggestedPairs(paired, newId)).toEqual([]);
    expect(starterRoles(doc, newId)).toEqual([]);
    expect(starterRoles({ ...bare, families: [] }, newId)).toEqual([]);
  });
});
