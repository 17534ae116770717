import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { luminance } from '../../contrast/ratio.ts';
import { MINT_LAMP_INTERFACE } from '../../demo/interface.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Link } from '../../document/links/link.ts';
import { groundOf, measurePair } from '../../judged/pairs/measure.ts';
import { opacityOf } from '../../system/families/family-place.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { DERIVATIONS, type Derivation } from './derivation.ts';
import { derivedTheme } from './derive-theme.ts';

/** The document with a theme that was derived, and what that was said to come to. */
function derived(doc: ProjectDocument, from: string, way: Derivation) {
  const made = derivedTheme(resolveSystem(doc), from, way);
  const next = after(doc, { type: 'addTheme', theme: { id: 'new', name: 'New' }, links: made.links });
  const system = resolveSystem(next);
  return { made, next, system, theme: system.themes.get('new')! };
}

/** The failing pairs that another shade for the text alone would make pass, leaving its other pairs as they are. */
function mendable(doc: ProjectDocument): string[] {
  const system = resolveSystem(doc);
  const theme = system.themes.get('new')!;
  const measured = doc.pairs.map((pair) => measurePair(system, theme, pair, null));
  const counts = (now: ProjectDocument, role: string) => {
    const s = resolveSystem(now, system);
    const t = s.themes.get('new')!;
    return now.pairs
      .filter(({ foreground, background }) => foreground === role || background === role)
      .map((pair) => measurePair(s, t, pair, null).passes);
  };
  return measured
    .filter(({ passes, text }) => !passes && text !== null)
    .filter(({ pair }) => {
      const own = opacityOf(doc.roles.find(({ id }) => id === pair.foreground)!.links.new!);
      const before = counts(doc, pair.foreground);
      return [...system.families.values()].some(({ family, shades }) =>
        shades.some(({ label }) => {
          const link: Link = { to: 'shade', family: family.id, shade: label, opacity: own.opacity ?? 1 };
          const tried = after(doc, { type: 'setLink', role: pair.foreground, theme: 'new', link });
          const now = counts(tried, pair.foreground);
          const better = now.filter(Boolean).length > before.filter(Boolean).length;
          return better && now.every((passes, i) => passes || !before[i]);
        }),
      );
    })
    .map(({ pair }) => pair.id);
}

describe('a derived theme', () => {
  it('is Night from Day, with every pair passing, surfaces in their order and roles still linked', () => {
    const { made, system, theme } = derived(SKERRY_LINE, 'day', 'down');
    expect(made.failing).toEqual([]);
    const y = (id: string) => luminance(theme.roles.get(id)!.color!);
    expect(luminance(groundOf(system, theme))).toBeLessThan(0.05);
    expect(y('page-raised')).toBeGreaterThan(y('page-ground'));
    expect(y('page-sunken')).toBeLessThan(y('page-ground'));
    expect(made.links['action-fill']).toEqual({ to: 'shade', family: 'deepwater', shade: '300' });
    // Every fill and text stays in its family.
    for (const [role, link] of Object.entries(made.links)) {
      const source = SKERRY_LINE.roles.find(({ id }) => id === role)!.links.day!;
      if (source.to === 'shade' && link.to === 'shade') expect(link.family).toBe(source.family);
    }
  });

  test.each(
    [SKERRY_LINE, MINT_LAMP_INTERFACE].flatMap((doc) =>
      doc.themes.flatMap(({ id }) => DERIVATIONS.map((way) => [doc.name, id, way, doc] as const)),
    ),
  )(
    '%s, %s lamp %s: what it says is what is measured, and no shade would mend what fails',
    (_, id, way, doc) => {
      const { made, next, system, theme } = derived(doc, id, way);
      if (way !== 'glare') {
        const failing = doc.pairs.filter((pair) => !measurePair(system, theme, pair, null).passes);
        expect(made.failing).toEqual(failing.map((pair) => pair.id));
        expect(mendable(next)).toEqual([]);
      } else {
        // Glare asks for more than the pairs do, and so they pass all the more.
        const passing = doc.pairs.filter((pair) => measurePair(system, theme, pair, null).passes);
        expect(passing.length).toBeGreaterThanOrEqual(doc.pairs.length - made.failing.length);
      }
    },
  );

  it('has no failing pair that a shade would mend, whatever the links are', () => {
    const shade = fc.record({
      to: fc.constant('shade' as const),
      family: fc.constantFrom(...SKERRY_LINE.families.map(({ id }) => id)),
      shade: fc.constantFrom(...SKERRY_LINE.families[0]!.growth.labels),
      opacity: fc.constantFrom(1, 1, 1, 0.7),
    });
    const link: fc.Arbitrary<Link> = fc.oneof(
      { weight: 8, arbitrary: shade },
      {
        weight: 1,
        arbitrary: fc
          .constantFrom('#ffffff', '#101820', '#e2552b')
          .map((color) => ({ to: 'color', color }) as const),
      },
    );
    const drawn = fc.tuple(...SKERRY_LINE.roles.map(() => link));
    fc.assert(
      fc.property(drawn, fc.constantFrom('down', 'up'), (links, way) => {
        const roles = SKERRY_LINE.roles.map((role, i) => ({
          ...role,
          links: { ...role.links, day: links[i]! },
        }));
        const { made, next } = derived({ ...SKERRY_LINE, roles }, 'day', way);
        expect(mendable(next)).toEqual([]);
        expect(made.pairs).toBe(18);
      }),
      { numRuns: runs(200) },
    );
  });

  it('refuses a theme that is not there', () => {
    expect(() => derivedTheme(resolveSystem(SKERRY_LINE), 'dusk', 'down')).toThrow(RangeError);
  });
});
