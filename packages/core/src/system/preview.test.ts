import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { previewOf } from './preview.ts';
import { resolveSystem } from './resolve.ts';

describe('the preview of a project', () => {
  it('has the shades of its families and the colours of its roles in each theme', () => {
    const preview = previewOf(SKERRY_LINE);
    expect(preview.families.map((family) => family.name)).toEqual(
      SKERRY_LINE.families.map((family) => family.name),
    );
    expect(preview.families[0]?.shades).toHaveLength(11);
    expect(preview.themes.map((theme) => theme.name)).toEqual(['Day sailing', 'Night sailing']);
    for (const { colors } of preview.themes) expect(colors).toHaveLength(24);
  });

  it('leaves out what is broken, and is small for a large project', () => {
    const families = Array.from({ length: 40 }, (_, i) => ({
      ...SKERRY_LINE.families[0]!,
      id: `f${i}`,
      name: `F${i}`,
    }));
    const preview = previewOf({ ...SKERRY_LINE, families });
    expect(preview.families).toHaveLength(8);
    expect(preview.themes[0]!.colors.length).toBeLessThan(10);
  });

  it('shows the colours that resolving the whole comes to', () => {
    const day = resolveSystem(SKERRY_LINE).themes.get('day')!;
    const colors = SKERRY_LINE.roles.slice(0, 24).map(({ id }) => day.roles.get(id)!.color!.css);
    expect(previewOf(SKERRY_LINE).themes[0]!.colors).toEqual(colors);
  });
});
