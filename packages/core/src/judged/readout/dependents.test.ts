import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { type Depended, dependentsOf } from './dependents.ts';

const names = (thing: Depended, doc = SKERRY_LINE) => {
  const { roles, gradients, families, pairs } = dependentsOf(resolveSystem(doc), thing);
  return {
    roles: roles.map(({ role, themes }) => `${writeRoleName(role)} ${themes.join(' ')}`),
    gradients: gradients.map(({ name }) => name),
    families: families.map(({ name }) => name),
    pairs: pairs.length,
  };
};

describe('what depends on a thing', () => {
  it('are the roles of each theme, gradients and pairs that follow a shade', () => {
    const found = names({ kind: 'shade', family: 'deepwater', shade: '700' });
    expect(found.roles).toEqual(expect.arrayContaining(['text.link day', 'action.fill day']));
    expect(found.roles.some((one) => one.includes('night'))).toBe(false);
    expect(found.gradients).toContain('Wake');
    const all = names({ kind: 'base', family: 'deepwater' });
    expect(all.roles).toEqual(expect.arrayContaining(['action.fill day night', 'page.ground night']));
    expect(all.pairs).toBeGreaterThan(found.pairs);
  });

  it('goes by way of roles that follow roles, families that follow families, and grounds of growths', () => {
    const doc = after(
      SKERRY_LINE,
      { type: 'setLink', role: 'focus-ring', theme: 'night', link: { to: 'role', role: 'action-fill' } },
      { type: 'setLink', role: 'line-soft', theme: 'night', link: { to: 'role', role: 'focus-ring' } },
      {
        type: 'setFollows',
        family: 'buoy',
        follows: { by: 'turn', family: 'deepwater', turn: 180, lightness: 0, chroma: 0 },
      },
      { type: 'setFollows', family: 'kelp', follows: { by: 'tint', family: 'buoy', chroma: 0.02 } },
      {
        type: 'setGrowth',
        family: 'flare',
        growth: {
          kind: 'opacity',
          ground: { to: 'role', role: 'line-soft', theme: 'night' },
          labels: ['a', 'b', 'c'],
          least: 0.1,
        },
      },
    );
    expect(names({ kind: 'role', role: 'action-fill' }, doc)).toMatchObject({
      roles: ['line.soft night', 'focus.ring night'],
      families: ['Flare'],
    });
    const { families } = names({ kind: 'base', family: 'deepwater' }, doc);
    expect([...families].sort()).toEqual(['Buoy', 'Flare', 'Kelp']);
    expect(names({ kind: 'role', role: 'text-quiet' }, doc).families).toEqual([]);
  });

  it('is, of a plain colour, what was given that very colour, however it is written', () => {
    const found = names({ kind: 'color', color: 'rgb(11 95 107)' });
    expect(found.families).toEqual(['Deepwater']);
    expect(found.roles).toEqual([]);
    const white = names({ kind: 'color', color: '#fff' });
    expect(white.roles).toEqual(expect.arrayContaining(['page.raised day', 'action.text day']));
    expect(white.families).toEqual([]);
  });
});
