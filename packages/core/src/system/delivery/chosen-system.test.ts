import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { anyDocument } from '../../document/commands/random-document.fixture.ts';
import type { LeftOut } from '../../document/delivery/delivery.ts';
import { documentSchema } from '../../document/document-schema.ts';
import { resolveSystem } from '../resolve.ts';
import { rolePaint } from '../roles/role-paint.ts';
import { chosenSystem } from './chosen-system.ts';
import { otherScheme, schemeOf } from './schemes.ts';

const NOTHING: LeftOut = { family: [], role: [], theme: [], gradient: [] };
const system = resolveSystem(SKERRY_LINE);

describe('what is handed over', () => {
  it('is the same system where nothing is left out', () => {
    expect(chosenSystem(system, NOTHING).system).toBe(system);
    expect(chosenSystem(system, { ...NOTHING, family: ['gone'] }).system).toBe(system);
  });

  it('leaves out families, whose colours stay where they were linked', () => {
    const { system: chosen } = chosenSystem(system, { ...NOTHING, family: ['deepwater'], theme: ['night'] });
    expect([...chosen.families.keys()]).not.toContain('deepwater');
    expect(chosen.document.themes.map(({ id }) => id)).toEqual(['day']);
    expect(chosen.document.roles.find(({ id }) => id === 'action-fill')!.links).toEqual({
      day: { to: 'color', color: '#0b5f6b' },
    });
  });

  it('takes along what something chosen needs in every theme: a role of a stop, a gradient of a role', () => {
    const painted = after(SKERRY_LINE, {
      type: 'setLink',
      role: 'board-ground',
      theme: 'day',
      link: { to: 'gradient', gradient: 'wake' },
    });
    const out = { ...NOTHING, gradient: ['wake', 'first-light'], role: ['action-fill'] };
    const { needed, system: chosen } = chosenSystem(resolveSystem(painted), out);
    expect(needed).toEqual({ roles: ['action-fill'], gradients: ['wake'] });
    expect(chosen.document.gradients.map(({ id }) => id)).toEqual(['wake']);
  });

  it('keeps the first theme where all are left out', () => {
    const { system: chosen } = chosenSystem(system, { ...NOTHING, theme: ['day', 'night'] });
    expect([...chosen.themes.keys()]).toEqual(['day']);
  });

  it('keeps every colour of what goes, and is a document of its own, whatever is left out of whatever', () => {
    fc.assert(
      fc.property(anyDocument, fc.integer({ min: 0, max: 0xffff }), (document, mask) => {
        const some = (list: readonly { readonly id: string }[], bit: number) =>
          list.filter((_, i) => (mask >> ((i + bit) % 16)) & 1).map(({ id }) => id);
        const whole = resolveSystem(document);
        const { system: chosen } = chosenSystem(whole, {
          family: some(document.families, 0),
          role: some(document.roles, 3),
          theme: some(document.themes, 7),
          gradient: some(document.gradients, 11),
        });
        expect(documentSchema.validate(chosen.document).error).toBeUndefined();
        for (const [id, { shades }] of chosen.families)
          expect(shades.map(({ css }) => css)).toEqual(whole.families.get(id)!.shades.map(({ css }) => css));
        for (const [theme, { roles }] of chosen.themes)
          for (const [id] of roles)
            expect(rolePaint(chosen.themes.get(theme)!, id)).toBe(rolePaint(whole.themes.get(theme)!, id));
      }),
      { numRuns: 300 },
    );
  });
});

describe('the scheme of a theme', () => {
  it('is told by its page, and the other one found', () => {
    const [day, night] = [...system.themes.values()];
    expect([schemeOf(system, day!), schemeOf(system, night!)]).toEqual(['light', 'dark']);
    expect(otherScheme(system, null)).toBe(night);
    expect(otherScheme(system, 'day')).toBe(night);
    expect(
      otherScheme(resolveSystem(after(SKERRY_LINE, { type: 'removeTheme', theme: 'night' })), null),
    ).toBeNull();
  });
});
