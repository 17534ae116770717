import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { ratioTable, type TableColor } from './ratio-table.ts';
import { allMeasurements, readoutOf } from './readout.ts';

const role = (id: string): TableColor => ({ kind: 'role', role: id });

describe('the matrix of ratios', () => {
  it('has for every pair of the demo what the pair measures, translucent ones too, and the least of all themes', () => {
    const system = resolveSystem(SKERRY_LINE);
    const { pairs } = SKERRY_LINE;
    const fronts = pairs.map(({ foreground }) => role(foreground));
    const backs = pairs.map(({ background }) => role(background));
    const measured = allMeasurements(readoutOf(system));
    const inTheme = (theme: string) => {
      const table = ratioTable(system, fronts, backs, [theme]);
      return pairs.map((_, i) => table[i * pairs.length + i]);
    };
    for (const theme of ['day', 'night'])
      expect(inTheme(theme)).toEqual(measured.filter((one) => one.theme === theme).map(({ ratio }) => ratio));
    const worst = ratioTable(system, fronts, backs, ['day', 'night']);
    const [day, night] = [inTheme('day'), inTheme('night')];
    pairs.forEach((_, i) => {
      expect(worst[i * pairs.length + i]).toBe(Math.min(day[i]!, night[i]!));
    });
  });

  it('takes shades and colours of the tray, and has nothing for what is broken', () => {
    const system = resolveSystem(after(SKERRY_LINE, { type: 'removeFamily', family: 'lantern' }));
    const shade: TableColor = { kind: 'shade', family: 'deepwater', shade: '700' };
    const white: TableColor = { kind: 'swatch', color: '#fff' };
    const lost: TableColor = { kind: 'shade', family: 'lantern', shade: '500' };
    const table = ratioTable(system, [shade, lost, role('gone')], [white, shade], ['day']);
    expect([...table].map((ratio) => ratio.toFixed(2))).toEqual([
      '7.33',
      '1.00',
      '0.00',
      '0.00',
      '0.00',
      '0.00',
    ]);
    expect([...ratioTable(system, [shade], [white], [])]).toEqual([0]);
    expect([...ratioTable(system, [shade], [white], ['day', 'dusk'])]).toEqual([0]);
  });
});
