import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { emptyDocument, type ProjectDocument } from '../../document/document.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { needsOf } from './needs.ts';

const needs = (doc: ProjectDocument) => {
  const system = resolveSystem(doc);
  return needsOf(system, system.themes.get('day')!);
};

describe('what a system needs', () => {
  it('is a dark for its lightest ground and a light for its darkest, in any theme', () => {
    const { dark, light } = needs(SKERRY_LINE);
    expect(dark).toMatchObject({ ground: { role: 'page-raised', theme: 'day' }, enough: true });
    expect(dark!.ratio).toBeGreaterThan(15);
    expect(light).toMatchObject({ ground: { theme: 'night' }, enough: true });
    // One family of middling shades carries no text on white.
    const grey = SKERRY_LINE.families.find(({ id }) => id === 'shingle')!;
    const pale: ProjectDocument = {
      ...SKERRY_LINE,
      families: [{ ...grey, growth: { ...grey.growth, kind: 'mix', towards: 'white', reach: 0.4 } as never }],
    };
    expect(needs(pale).dark).toMatchObject({ enough: false, shade: { family: 'shingle', shade: '950' } });
  });

  it('tells families that share most of their shades, and hues that few would see', () => {
    expect(needs(SKERRY_LINE).alike).toEqual([]);
    const twin = after(SKERRY_LINE, { type: 'setBase', family: 'kelp', color: '#0c606c' });
    expect(needs(twin).alike[0]).toMatchObject({ a: 'deepwater', b: 'kelp' });
    const { hues } = needs(SKERRY_LINE);
    expect(hues.map(({ families }) => families)).toEqual([
      ['deepwater'],
      ['buoy', 'flare'],
      ['kelp'],
      ['lantern'],
    ]);
    expect(hues[2]!.roles).toEqual(['notice-ontime-ground', 'notice-ontime-text']);
    // Turned to the blue-green, it is one hue with it.
    expect(needs(twin).hues.map(({ families }) => families)).toContainEqual(['deepwater', 'kelp']);
  });

  it('counts the shades that nothing comes to, bases and stops among what does', () => {
    const { unused } = needs(SKERRY_LINE);
    expect(unused).toContainEqual({ family: 'kelp', shade: '500' });
    expect(unused).not.toContainEqual({ family: 'kelp', shade: '700' });
    const linked = after(SKERRY_LINE, {
      type: 'setLink',
      role: 'line-soft',
      theme: 'day',
      link: { to: 'shade', family: 'kelp', shade: '500' },
    });
    expect(needs(linked).unused).not.toContainEqual({ family: 'kelp', shade: '500' });
  });

  it('is nothing where there is no family', () => {
    expect(needs(emptyDocument('Skerry Line', [{ id: 'day', name: 'Day sailing' }]))).toEqual({
      dark: null,
      light: null,
      alike: [],
      hues: [],
      unused: [],
    });
  });
});
