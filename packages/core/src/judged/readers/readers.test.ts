import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { contrastRatio } from '../../contrast/ratio.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { resolveSystem, type System } from '../../system/resolve.ts';
import { simulate } from '../../vision/simulate.ts';
import { readoutOf } from '../readout/readout.ts';
import { meaningSets } from './meaning.ts';
import { newTwins } from './new-twins.ts';
import { partingOf, type ReaderTwins, readerTwins } from './reader-twins.ts';
import { seenShort } from './seen-pair.ts';

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
    expect(partingOf(system, day, twins[0]!, 1, null)).toBeNull();
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
          const parting = partingOf(system, system.themes.get('day')!, twin, 1, null);
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

describe('mends', () => {
  it('come to an end, and none brings back what another has parted', () => {
    const labels = ['300', '400', '500', '600', '700', '800', '900'];
    const families = ['kelp', 'flare', 'buoy', 'lantern', 'deepwater'];
    const roles = ['ontime', 'delay', 'cancelled'].flatMap((kind) => [
      `notice-${kind}-text`,
      `notice-${kind}-ground`,
    ]);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...families), fc.constantFrom(...labels)), {
          minLength: roles.length,
          maxLength: roles.length,
        }),
        fc.constantFrom(0.5, 0.8, 1),
        (links, severity) => {
          let doc = after(
            SKERRY_LINE,
            ...links.map(([family, shade], i) => ({
              type: 'setLink' as const,
              role: roles[i]!,
              theme: 'day',
              link: { to: 'shade' as const, family, shade },
            })),
          );
          const keyOf = ({ a, b, deficiency }: ReaderTwins) => `${a} ${b} ${deficiency}`;
          const twinsOf = (system: System) => readerTwins(system, system.themes.get('day')!, severity);
          let system = resolveSystem(doc);
          let twins = twinsOf(system);
          for (let mends = 0; ; mends++) {
            expect(mends).toBeLessThan(40);
            const parting = twins
              .map((one) => ({
                one,
                found: partingOf(system, system.themes.get('day')!, one, severity, null),
              }))
              .find(({ found }) => found);
            if (!parting?.found) return;
            const { role, theme, link } = parting.found;
            doc = after(doc, { type: 'setLink', role, theme, link });
            system = resolveSystem(doc);
            const before = new Set(twins.map(keyOf));
            twins = twinsOf(system);
            expect(twins.filter((one) => !before.has(keyOf(one)))).toEqual([]);
            expect(twins.map(keyOf)).not.toContain(keyOf(parting.one));
          }
        },
      ),
      { numRuns: runs(200) },
    );
  });
});

describe('what is told before it is used', () => {
  it('is every two of a meaning that a change makes twins for someone, once, and nothing that was so before', () => {
    const link = (role: string, color: string) =>
      ({ type: 'setLink', role, theme: 'day', link: { to: 'color', color } }) as const;
    const before = resolveSystem(after(SKERRY_LINE, link('notice-ontime-text', '#6b6b1f')));
    expect(newTwins(before, before, 'day', 1)).toEqual([]);
    const now = resolveSystem(after(before.document, link('notice-cancelled-text', '#a83a32')), before);
    const told = newTwins(before, now, 'day', 1);
    expect(told.map(({ a, b }) => [a, b])).toContainEqual(['notice-ontime-text', 'notice-cancelled-text']);
    expect(new Set(told.map(({ a, b }) => `${a} ${b}`)).size).toBe(told.length);
    expect(newTwins(before, now, 'night', 1)).toEqual([]);
    expect(newTwins(before, now, 'gone', 1)).toEqual([]);
  });

  it('is for whom a passing pair falls short', () => {
    const rgb = (r: number, g: number, b: number) => ({ r, g, b, alpha: 1 });
    const [red, black, white] = [rgb(235, 0, 0), rgb(0, 0, 0), rgb(255, 255, 255)];
    expect(contrastRatio(red, black)).toBeGreaterThan(4.5);
    const short = seenShort(red, black, 4.5);
    expect(short.map(({ deficiency }) => deficiency)).toContain('protan');
    for (const { deficiency, ratio } of short)
      expect(ratio).toBe(contrastRatio(simulate(red, deficiency), simulate(black, deficiency)));
    expect(seenShort(black, white, 7)).toEqual([]);
    expect(seenShort(rgb(120, 120, 120), white, 4.5)).toEqual([]);
  });
});
