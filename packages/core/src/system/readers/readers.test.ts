import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../commands/after.fixture.ts';
import { readoutOf } from '../readout/readout.ts';
import { resolveSystem } from '../resolve/resolve.ts';
import { meaningSets } from './meaning.ts';
import { partingOf, readerTwins } from './reader-twins.ts';

describe('colours that carry meaning', () => {
  it('are roles of one name in sister groups', () => {
    expect(meaningSets(SKERRY_LINE).map(({ name, roles }) => [name, roles.length])).toEqual([
      ['notice … ground', 3],
      ['notice … text', 3],
    ]);
  });

  it('that become twins for someone are named with whom, and parted by the least change that breaks no pair', () => {
    // Red and green of one lightness.
    const doc = after(
      SKERRY_LINE,
      { type: 'setLink', role: 'notice-ontime-text', theme: 'day', link: { to: 'color', color: '#6b6b1f' } },
      {
        type: 'setLink',
        role: 'notice-cancelled-text',
        theme: 'day',
        link: { to: 'color', color: '#a83a32' },
      },
    );
    const system = resolveSystem(doc);
    const day = system.themes.get('day')!;
    const twins = readerTwins(system, day, 1).filter(({ set }) => set === 'notice … text');
    expect(twins[0]).toMatchObject({
      set: 'notice … text',
      deficiency: expect.stringMatching(/deutan|protan/),
    });
    // Plain colours have no family to go along.
    expect(partingOf(system, day, twins[0]!, 1)).toBeNull();
    expect(readerTwins(system, day, 0)).toEqual([]);
  });

  it('are parted along their families wherever a shade does it', () => {
    let parted = 0;
    for (const [one, other] of [
      ['kelp', 'flare'],
      ['kelp', 'buoy'],
      ['lantern', 'kelp'],
      ['buoy', 'flare'],
    ])
      for (const label of ['600', '700', '800']) {
        const shade = (family: string) => ({ to: 'shade', family, shade: label }) as const;
        const doc = after(
          SKERRY_LINE,
          { type: 'setLink', role: 'notice-ontime-text', theme: 'day', link: shade(one!) },
          { type: 'setLink', role: 'notice-cancelled-text', theme: 'day', link: shade(other!) },
        );
        const system = resolveSystem(doc);
        const before = readoutOf(system);
        for (const twin of readerTwins(system, system.themes.get('day')!, 1)) {
          const parting = partingOf(system, system.themes.get('day')!, twin, 1);
          if (!parting) continue;
          const { role, theme, link } = parting;
          const now = resolveSystem(after(doc, { type: 'setLink', role, theme, link }), system);
          const same = ({ a, b, deficiency }: typeof twin) =>
            a === twin.a && b === twin.b && deficiency === twin.deficiency;
          expect(readerTwins(now, now.themes.get('day')!, 1).some(same)).toBe(false);
          expect(readoutOf(now, before).passingOverall).toBeGreaterThanOrEqual(before.passingOverall);
          parted += 1;
        }
      }
    expect(parted).toBeGreaterThan(5);
  });
});
