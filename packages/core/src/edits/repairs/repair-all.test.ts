import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Link } from '../../document/links/link.ts';
import { drain } from '../../in-parts/drain.ts';
import { allMeasurements, readoutOf } from '../../judged/readout/readout.ts';
import { opacityOf } from '../../system/families/family-place.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { repairAll, repairCommands } from './repair-all.ts';

function repaired(doc: ProjectDocument) {
  const { repairs, failing } = drain(repairAll(resolveSystem(doc)));
  return {
    repairs,
    failing,
    next: after(doc, { type: 'batch', label: 'repair', commands: repairCommands(repairs) }),
  };
}

const keyOf = ({ pair, theme }: { pair: { id: string }; theme: string }) => `${pair.id} ${theme}`;
const passing = (doc: ProjectDocument) =>
  new Set(
    allMeasurements(readoutOf(resolveSystem(doc)))
      .filter((one) => one.passes)
      .map(keyOf),
  );

/** The failing measurements that one other shade, for the text or for the ground, would make pass with nothing lost. */
function stillMendable(doc: ProjectDocument): string[] {
  const system = resolveSystem(doc);
  const before = readoutOf(system);
  const was = passing(doc);
  const fixed = new Set([doc.ground]);
  // What the page's ground follows changes it too.
  for (let grew = true; grew; ) {
    grew = false;
    for (const { id, links } of doc.roles)
      for (const link of Object.values(links))
        if (link.to === 'role' && fixed.has(id) && !fixed.has(link.role)) {
          fixed.add(link.role);
          grew = true;
        }
  }
  return allMeasurements(before)
    .filter(({ passes, text }) => !passes && text)
    .filter(({ pair, theme }) =>
      [pair.foreground, pair.background].some((role) => {
        if (fixed.has(role)) return false;
        const own = opacityOf(doc.roles.find(({ id }) => id === role)!.links[theme]!);
        return [...system.families.values()].some(({ family, shades }) =>
          shades.some(({ label }) => {
            const link: Link = { to: 'shade', family: family.id, shade: label, opacity: own.opacity ?? 1 };
            const tried = resolveSystem(after(doc, { type: 'setLink', role, theme, link }), system);
            const now = readoutOf(tried, before);
            const kept = new Set(
              allMeasurements(now)
                .filter((one) => one.passes)
                .map(keyOf),
            );
            return kept.has(`${pair.id} ${theme}`) && [...was].every((key) => kept.has(key));
          }),
        );
      }),
    )
    .map(keyOf);
}

describe('repairing all', () => {
  it('makes every pair of the demo pass, within the families, and says which pairs each change mends', () => {
    const { repairs, failing, next } = repaired(SKERRY_LINE);
    expect(failing).toBe(3);
    expect(passing(next).size).toBe(36);
    expect(repairs.flatMap(({ pairs }) => pairs).length).toBe(3);
    for (const { from, to } of repairs) {
      if (from?.to === 'shade' && to.to === 'shade') expect(to.family).toBe(from.family);
    }
    // The board stays dark, and its text goes on following what is quiet on it: one link mends both.
    expect(repairs.map(({ role }) => role).sort()).toEqual(['board-quiet', 'notice-delay-text']);
  });

  it('lets nothing fail that passed, and leaves nothing that one shade would mend, whatever the links are', () => {
    const shade = fc.record({
      to: fc.constant('shade' as const),
      family: fc.constantFrom(...SKERRY_LINE.families.map(({ id }) => id)),
      shade: fc.constantFrom(...SKERRY_LINE.families[0]!.growth.labels),
      opacity: fc.constantFrom(1, 1, 1, 0.7),
    });
    const ids = SKERRY_LINE.roles.map(({ id }) => id);
    // Roles point to earlier ones only, and so in no circle.
    const links = fc.tuple(
      ...ids.map(
        (_, i): fc.Arbitrary<Link> =>
          fc.oneof(
            { weight: 8, arbitrary: shade },
            {
              weight: 1,
              arbitrary: fc
                .constantFrom('#ffffff', '#101820', '#e2552b')
                .map((color) => ({ to: 'color', color }) as const),
            },
            ...(i
              ? [
                  {
                    weight: 1,
                    arbitrary: fc
                      .constantFrom(...ids.slice(0, i))
                      .map((role) => ({ to: 'role', role }) as const),
                  },
                ]
              : []),
          ),
      ),
    );
    let mended = 0;
    fc.assert(
      fc.property(links, (drawn) => {
        const doc = {
          ...SKERRY_LINE,
          roles: SKERRY_LINE.roles.map((role, i) => ({ ...role, links: { ...role.links, day: drawn[i]! } })),
        };
        const { repairs, next } = repaired(doc);
        const [was, is] = [passing(doc), passing(next)];
        for (const key of was) if (!is.has(key)) throw new Error(`${key} passed, and fails now.`);
        expect(is.size - was.size).toBe(
          new Set(repairs.flatMap(({ pairs, theme }) => pairs.map((id) => `${id} ${theme}`))).size,
        );
        expect(stillMendable(next)).toEqual([]);
        mended += is.size - was.size;
      }),
      { numRuns: runs(200) },
    );
    expect(mended).toBeGreaterThan(50);
  });
});
