import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { readoutOf } from '@mint-lamp/core/judged/readout/readout';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { describe, expect, it } from 'vitest';
import { boardRows, EVERYTHING, failsIn, isOfKind, outerGroups } from './board-filter.ts';

const { pairs, roles } = SKERRY_LINE;
const readout = readoutOf(resolveSystem(SKERRY_LINE));
const places = pairs.map((_, i) => i);
const groupOf = (id: string) => roles.find((role) => role.id === id)?.group[0] ?? '';

describe('what the board shows', () => {
  it('is what fails, in a theme or in some', () => {
    const failing = (theme: string | null) => places.filter((place) => failsIn(readout, place, theme)).length;
    expect([failing(null), failing('day'), failing('night')]).toEqual([3, 1, 2]);
  });

  it('is of a kind: content, level, group of either role', () => {
    const kept = (change: Partial<typeof EVERYTHING>) =>
      pairs.filter((pair) => isOfKind(pair, { ...EVERYTHING, ...change }, groupOf));
    expect(kept({})).toHaveLength(pairs.length);
    for (const { target } of kept({ content: 'graphics' })) expect(target.content).toBe('graphics');
    // Graphics know one level only, and are of either.
    expect(
      kept({ level: 'AAA' }).every(({ target }) => target.content === 'graphics' || target.level === 'AAA'),
    ).toBe(true);
    const notices = kept({ group: 'notice' });
    expect(notices.length).toBeGreaterThan(2);
    for (const pair of notices) expect(roleNameIn(roles, pair.foreground)).toMatch(/^notice\./);
    expect(outerGroups(roles)[0]).toBe('page');
  });

  it('stands under its grounds, in the order of the roles, each pair once', () => {
    const rows = boardRows(places, pairs, roles, true);
    expect(rows.filter(({ kind }) => kind === 'pair')).toHaveLength(pairs.length);
    const heads = rows.flatMap((row) => (row.kind === 'ground' ? [row] : []));
    expect(new Set(heads.map(({ role }) => role)).size).toBe(heads.length);
    expect(heads.reduce((sum, { count }) => sum + count, 0)).toBe(pairs.length);
    expect(roleNameIn(roles, heads[0]!.role)).toBe('page.ground');
    let ground = '';
    for (const row of rows)
      if (row.kind === 'ground') ground = row.role;
      else expect(pairs[row.place]!.background).toBe(ground);
    expect(boardRows(places, pairs, roles, false)).toHaveLength(pairs.length);
  });
});
