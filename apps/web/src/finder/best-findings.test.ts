import { describe, expect, it } from 'vitest';
import { bestFindings } from './best-findings.ts';

const thing = (name: string) => ({ key: name, name, act: () => {} });
const GROUPS = [
  { title: 'Stations', findings: Array.from({ length: 7 }, (_, i) => thing(`Station ${i}`)) },
  { title: 'Families', findings: ['Deepwater', 'Buoy'].map(thing) },
  {
    title: 'Roles',
    findings: ['notice.delay.ground', 'notice.delay.text', 'page.ground', 'board.ground', 'text.main'].map(
      thing,
    ),
  },
  { title: 'Pairs', findings: Array.from({ length: 200 }, (_, i) => thing(`text.main on page.p${i}`)) },
];
const names = (text: string) =>
  bestFindings(GROUPS, text).map(({ findings }) => findings.map(({ name }) => name));

describe('what the finder shows', () => {
  it('is the first of each kind while nothing is typed, and says how many more there are', () => {
    const shown = bestFindings(GROUPS, ' ');
    expect(shown.map(({ findings, more }) => [findings.length, more])).toEqual([
      [7, 0],
      [2, 0],
      [5, 0],
      [6, 194],
    ]);
  });

  it('is what fits the words typed, with dots or spaces, best first', () => {
    expect(names('notice delay gro')[0]).toEqual(['notice.delay.ground']);
    expect(names('notice.delay')[0]).toEqual(['notice.delay.text', 'notice.delay.ground'].sort());
    expect(names('ground')[0]![0]).toBe('page.ground');
    expect(names('role gro')[0]).toHaveLength(3);
    expect(names('deep')[0]).toEqual(['Deepwater']);
    expect(names('epwat')[0]).toEqual(['Deepwater']);
    expect(names('nothing such')).toEqual([]);
  });

  it('finds by what a thing is for, and leaves out what is too much until something is typed', () => {
    const shades = { title: 'Shades', whenTyped: true, findings: ['Kelp 600', 'Kelp 700'].map(thing) };
    const files = {
      title: 'Hand over',
      findings: [{ ...thing('CSS custom properties'), also: 'export download' }],
    };
    const all = [...GROUPS, shades, files];
    expect(bestFindings(all, '').map(({ title }) => title)).not.toContain('Shades');
    const found = (text: string) =>
      bestFindings(all, text).flatMap(({ findings }) => findings.map(({ name }) => name));
    expect(found('700')).toEqual(['Kelp 700']);
    expect(found('export')).toEqual(['CSS custom properties']);
    expect(found('css export')).toEqual(['CSS custom properties']);
  });

  it('is never too much to draw', () => {
    const [roles, pairs] = bestFindings(GROUPS, 'text.main');
    expect(roles).toMatchObject({ title: 'Roles', more: 0 });
    expect(pairs).toMatchObject({ title: 'Pairs', more: 141 });
    expect(pairs!.findings).toHaveLength(59);
  });
});
