import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { type Gradient, stopAt } from '../../document/gradients/gradient.ts';
import { drain } from '../../in-parts/drain.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { faultsInParts } from './gradient-faults.ts';

const plain = (...stops: readonly (readonly [percent: number, color: string])[]) =>
  stops.map(([percent, color], i) => stopAt(`s${i}`, percent, { to: 'color', color }));
const withStops = (stops: Gradient['stops'], change: Partial<Gradient> = {}): ProjectDocument =>
  after(
    SKERRY_LINE,
    { type: 'setStops', gradient: 'first-light', stops },
    { type: 'setGradient', gradient: 'first-light', change: { space: 'oklab', ...change } as object },
  );
function faultsIn(doc: ProjectDocument, length = 600) {
  const { families, themes } = resolveSystem(doc);
  const { roles, gradients } = themes.get('day')!;
  let next = 0;
  const newId = () => `new-${next++}`;
  return drain(faultsInParts(gradients.get('first-light')!, { families, roles }, length, newId));
}
/** What is left of a kind of faults when the first of them is mended. */
function mended(doc: ProjectDocument, kind: string, length?: number) {
  const fault = faultsIn(doc, length).find((one) => one.kind === kind)!;
  expect(fault.mend).not.toBeNull();
  return faultsIn(after(doc, fault.mend!), length).filter((one) => one.kind === kind);
}

describe('faults of a gradient with their mends', () => {
  it('are none where a line goes its way', () => {
    const calm = withStops(plain([0, '#07191e'], [100, '#7fb4bd']));
    expect(faultsIn(calm)).toEqual([]);
  });

  it('are grey dips, mended by a stop that keeps the colour', () => {
    expect(mended(withStops(plain([0, '#0b5f6b'], [100, '#e2552b'])), 'grey')).toEqual([]);
  });

  it('are mended by mixing round the hues where a gradient holds no more stops', () => {
    const colors = ['#0b5f6b', '#e2552b'];
    const full = withStops(
      Array.from({ length: 64 }, (_, i) =>
        stopAt(`s${i}`, Math.round((i / 63) * 1e4) / 100, { to: 'color', color: colors[i % 2]! }),
      ),
    );
    const dips = faultsIn(full).filter(({ kind }) => kind === 'grey');
    expect(dips).toHaveLength(63);
    expect(dips[0]).toMatchObject({ mend: { type: 'setGradient', change: { space: 'oklch' } } });
    expect(mended(full, 'grey')).toEqual([]);
  });

  it('are middles that outshine their ends, mended by another space that is as near as can be', () => {
    const doc = withStops(plain([0, '#0000c0'], [100, '#c00000']), { space: 'hsl', hueWay: 'longer' });
    const fault = faultsIn(doc).find(({ kind }) => kind === 'bright')!;
    expect(fault).toMatchObject({
      mend: { type: 'setGradient', change: { space: 'oklch', hueWay: 'shorter' } },
    });
    if (fault.kind === 'bright') {
      expect(fault.lightness).toBeGreaterThan(fault.expected + 0.06);
      expect(fault.place).toBeGreaterThan(20);
    }
    expect(mended(doc, 'bright')).toEqual([]);
  });

  it('are stops that can hardly be told apart, one of which goes; an end stays', () => {
    const doc = withStops(plain([0, '#07191e'], [60, '#7fb4bd'], [100, '#80b5be']));
    const fault = faultsIn(doc).find(({ kind }) => kind === 'twins')!;
    expect(fault).toMatchObject({ a: 1, b: 2, mend: { type: 'removeStop', stop: 's1' } });
    expect(mended(doc, 'twins')).toEqual([]);
    // Of two there is none that could go.
    const two = withStops(plain([0, '#7fb4bd'], [100, '#80b5be']));
    expect(faultsIn(two).find(({ kind }) => kind === 'twins')!.mend).toBeNull();
  });

  it('are no twins where one stop stands in two places', () => {
    const [a, b] = plain([0, '#07191e'], [100, '#7fb4bd']);
    const flat = {
      ...b!,
      places: [
        { value: 60, unit: '%' },
        { value: 100, unit: '%' },
      ],
    } as const;
    expect(faultsIn(withStops([a!, flat])).filter(({ kind }) => kind === 'twins')).toEqual([]);
  });

  it('are bands at the size that it is shown at, mended by the shade that is fewest steps away', () => {
    const shade = (label: string) => ({ to: 'shade', family: 'shingle', shade: label }) as const;
    const doc = withStops([stopAt('a', 0, shade('400')), stopAt('b', 100, shade('500'))]);
    expect(faultsIn(doc, 60).filter(({ kind }) => kind === 'bands')).toEqual([]);
    const wide = faultsIn(doc, 500).find(({ kind }) => kind === 'bands')!;
    expect(wide).toMatchObject({ kind: 'bands', mend: { type: 'linkStop' } });
    expect(mended(doc, 'bands', 500)).toEqual([]);
    // Nothing in eight bits is as wide as that without them.
    expect(faultsIn(doc, 4000).find(({ kind }) => kind === 'bands')!.mend).toBeNull();
  });

  it('come the worst first', () => {
    const doc = withStops(
      plain([0, '#0b5f6b'], [50, '#e2552b'], [50, '#ffffff'], [50, '#000000'], [100, '#010101']),
    );
    const weights = faultsIn(doc).map(({ weight }) => weight);
    expect(weights.length).toBeGreaterThan(2);
    expect(weights).toEqual([...weights].sort((a, b) => b - a));
  });
});
