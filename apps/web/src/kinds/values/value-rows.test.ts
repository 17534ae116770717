import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { resolveSystem } from '@mint-lamp/core/system/resolve';
import { describe, expect, it } from 'vitest';
import { valueRows } from './value-rows.ts';

const rowsOf = (doc: typeof SKERRY_LINE) => {
  const system = resolveSystem(doc);
  return valueRows(system, system.themes.get('night')!, 'hex');
};

describe('the values to hand over', () => {
  const rows = rowsOf(SKERRY_LINE);

  it('stand by group, gradient and family, a role under its own name', () => {
    const at = (text: string) => rows.findIndex((row) => row.kind !== 'value' && row.text === text);
    expect([at('Roles in Night sailing'), at('page')]).toEqual([0, 1]);
    const first = rows[2]!;
    expect(first.kind === 'value' && first.value()).toMatchObject({
      name: 'ground',
      property: '--page-ground',
    });
    expect(at('notice.delay')).toBeLessThan(at('Gradients'));
    expect(at('Gradients')).toBeLessThan(at('Deepwater'));
    expect(new Set(rows.map(({ key }) => key)).size).toBe(rows.length);
  });

  it('leave out what has no colour', () => {
    const values = (doc: typeof SKERRY_LINE) => rowsOf(doc).filter(({ kind }) => kind === 'value').length;
    const broken = { ...SKERRY_LINE, families: SKERRY_LINE.families.filter(({ id }) => id !== 'kelp') };
    expect(values(broken)).toBe(values(SKERRY_LINE) - 11 - 2);
  });
});
