import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { svgColors } from '../../svg/svg-colors.ts';
import { oklabOf, paint } from '../../system/painted.ts';
import { artColor, paintArtwork } from '../../system/painted-artwork.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { greyestFamily, matchColors, roleCandidates, shadeCandidates } from './match-colors.ts';

const system = resolveSystem(SKERRY_LINE);
const day = system.themes.get('day')!;
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const light = (css: string) => oklabOf(paint(css))[0];

describe('what the colours of a drawing are linked to', () => {
  it('is what they are already, where the project has it', () => {
    const shades = ['700', '300', '50'].map(
      (label) => system.families.get('deepwater')!.byLabel.get(label)!.css,
    );
    const links = matchColors(shades, shadeCandidates(system));
    expect(shades.map((css) => links.get(css))).toMatchObject([
      { family: 'deepwater', shade: '700' },
      { family: 'deepwater', shade: '300' },
      { family: 'deepwater', shade: '50' },
    ]);
  });

  it('keeps the darker the darker, whatever the colours and the family', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(hex, { minLength: 1, maxLength: 12 }),
        fc.constantFrom(undefined, 'buoy', 'shingle'),
        (colors, family) => {
          const links = matchColors(colors, shadeCandidates(system, family));
          expect([...links.keys()].sort()).toEqual([...colors].sort());
          const sorted = [...colors].sort((a, b) => light(a) - light(b));
          const then = sorted.map((css) => oklabOf(artColor(system, day, css, links.get(css)!)!)[0]);
          for (const [i, l] of then.entries()) if (i) expect(l).toBeGreaterThanOrEqual(then[i - 1]!);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('can be roles, or one family alone, and is nothing without any', () => {
    expect(matchColors(['#123456'], roleCandidates(day, SKERRY_LINE.roles)).get('#123456')).toMatchObject({
      to: 'role',
    });
    expect(matchColors(['#123456'], [])).toEqual(new Map());
    expect(greyestFamily(system)).toBe('shingle');
  });
});

describe('a drawing in a theme', () => {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" fill="#0b5f6b" color="#000000"><path stroke="rgb(255 0 0 / 0.5)" d="M0 0h9"></path></svg>';
  const artwork = {
    id: 'a',
    name: 'A',
    kind: 'drawing',
    content: svg,
    links: {
      '#0b5f6b': { to: 'role', role: 'page-ground' },
      'rgb(255 0 0 / 0.5)': { to: 'shade', family: 'buoy', shade: '500' },
      '#000000': { to: 'shade', family: 'gone', shade: '500' },
    },
  } as const;

  it('follows the theme, stays as translucent as it was, and as it was where a link is broken', () => {
    const [inDay, inNight] = ['day', 'night'].map((id) =>
      paintArtwork(system, system.themes.get(id)!, artwork),
    );
    expect(inDay).toContain(`fill="${day.roles.get('page-ground')!.color!.css}"`);
    expect(inNight).not.toBe(inDay);
    expect(svgColors(inDay!)[2]).toMatch(/ \/ 0\.5\)$/);
    expect(inDay).toContain('color="#000000"');
  });
});
