import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { previewOf } from './preview.ts';
import { resolveSystem } from './resolve.ts';
import { castOf } from './scenes/cast.ts';
import { scenePaints } from './scenes/scene-paints.ts';

describe('the preview of a project', () => {
  it('has the shades of its families, and a page in each theme', () => {
    const preview = previewOf(SKERRY_LINE);
    expect(preview.families.map((family) => family.name)).toEqual(
      SKERRY_LINE.families.map((family) => family.name),
    );
    expect(preview.families[0]?.shades).toHaveLength(11);
    expect(preview.themes.map((theme) => theme.name)).toEqual(['Day sailing', 'Night sailing']);
    expect(preview.words).toMatchObject({ action: 'Reserve', menu1: 'Timetable' });
  });

  it('leaves out what is broken, and is small for a large project', () => {
    const families = Array.from({ length: 40 }, (_, i) => ({
      ...SKERRY_LINE.families[0]!,
      id: `f${i}`,
      name: `F${i}`,
    }));
    const preview = previewOf({ ...SKERRY_LINE, families });
    expect(preview.families).toHaveLength(8);
    expect(preview.themes[0]!.paints).toMatchObject({ raised: '#ffffff', 'action-text': '#ffffff' });
    expect(preview.themes[0]!.paints.page).toBeUndefined();
  });

  it('is painted as the scenes of the whole system are', () => {
    const system = resolveSystem(SKERRY_LINE);
    for (const [i, theme] of [...system.themes.values()].entries()) {
      const { paints } = previewOf(SKERRY_LINE).themes[i]!;
      expect(paints.hero).toContain('linear-gradient(');
      expect(scenePaints(castOf(SKERRY_LINE), theme, () => null)).toMatchObject(paints);
    }
  });

  it('says which picture the page shows', () => {
    const content = 'ab'.repeat(32);
    const picture = {
      id: 'p',
      name: 'Harbour',
      content,
      width: 9,
      height: 9,
      markers: [],
      moved: [],
      textOver: null,
    };
    const scenes = { ...SKERRY_LINE.scenes, cast: { hero: { to: 'picture', picture: 'p' } } } as const;
    const preview = previewOf({ ...SKERRY_LINE, pictures: [picture], scenes });
    expect([preview.picture, preview.themes[0]!.paints.hero]).toEqual([content, undefined]);
  });
});
