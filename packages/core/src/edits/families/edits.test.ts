import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rgb8ToOklch } from '../../color/gamut.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import type { Command } from '../../document/commands/command.ts';
import { ENTWINED } from '../../document/commands/small-documents.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { readoutOf } from '../../judged/readout/readout.ts';
import { baseChange, followingBase } from '../../system/families/following-base.ts';
import { resolveSystem, type System } from '../../system/resolve.ts';
import { duplicated, removed, split, splitPlaces } from './family-edits.ts';
import { baseFromShade, familyFromShade, shadeInserted, shadeTakenOut } from './shade-edits.ts';

const hueOf = (hex: string) => {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
  return rgb8ToOklch(r!, g!, b!);
};
const base = (system: System, id: string) => system.families.get(id)!.base.text;
const reasonOf = (doc: ProjectDocument, command: Command) => {
  const result = applyCommand(doc, command);
  return result.ok ? null : result.reason;
};
/** Every colour that roles and stops come to. */
const painted = (system: System) =>
  [...system.themes.values()].map(({ roles, gradients }) => [
    [...roles].map(([id, { color }]) => [id, color?.css]),
    [...gradients].map(([id, { colors }]) => [id, colors.map((color) => color?.css)]),
  ]);
const turn: Command = {
  type: 'setFollows',
  family: 'kelp',
  follows: { by: 'turn', family: 'deepwater', turn: 90, lightness: 0, chroma: 0 },
};

describe('a family that follows others', () => {
  it('is turned from, between or tinted by them, and moves when they do, with all that uses it', () => {
    const doc = after(
      SKERRY_LINE,
      turn,
      {
        type: 'setFollows',
        family: 'flare',
        follows: { by: 'between', family: 'kelp', other: 'buoy', share: 0.5 },
      },
      { type: 'setFollows', family: 'shingle', follows: { by: 'tint', family: 'deepwater', chroma: 0.015 } },
    );
    const system = resolveSystem(doc);
    const turned = (s: System) => (hueOf(base(s, 'kelp'))[2] - hueOf(base(s, 'deepwater'))[2] + 360) % 360;
    expect(Math.abs(turned(system) - 90)).toBeLessThan(2);
    const [greyL] = hueOf('#7a8483');
    expect(hueOf(base(system, 'shingle'))[0]).toBeCloseTo(greyL, 2);
    expect(hueOf(base(system, 'shingle'))[1]).toBeCloseTo(0.015, 2);
    const plum = after(doc, { type: 'setBase', family: 'deepwater', color: '#7a1f5c' });
    const next = resolveSystem(plum, system);
    for (const id of ['kelp', 'flare', 'shingle']) expect(base(next, id)).not.toBe(base(system, id));
    expect(Math.abs(turned(next) - 90)).toBeLessThan(2);
    expect(next.themes.get('day')!.roles.get('text-quiet')!.color).not.toBe(
      system.themes.get('day')!.roles.get('text-quiet')!.color,
    );
    expect(next.families.get('buoy')).toBe(system.families.get('buoy'));
  });

  it('keeps the colour that it has when it is cut, and stays its own', () => {
    const system = resolveSystem(after(SKERRY_LINE, turn));
    const commands = removed(system, 'deepwater', { by: 'colors' });
    const without = resolveSystem(after(system.document, commands));
    expect(base(without, 'kelp')).toBe(base(system, 'kelp'));
    expect(without.document.families.find(({ id }) => id === 'kelp')!.follows).toBeNull();
    expect(painted(without)).toEqual(painted(system));
  });

  it('is told when what it follows is gone, and keeps a colour', () => {
    const doc = after(SKERRY_LINE, turn, { type: 'removeFamily', family: 'deepwater' });
    const system = resolveSystem(doc);
    expect(base(system, 'kelp')).toBe('#3f7d3a');
    expect(readoutOf(system).broken[0]).toMatchObject({
      kind: 'family',
      id: 'kelp',
      problem: expect.stringMatching(/no longer exists/),
    });
  });

  it('has no base to set but what following leaves to it', () => {
    const doc = after(SKERRY_LINE, turn);
    expect(reasonOf(doc, { type: 'setBase', family: 'kelp', color: '#ffffff' })).toBe(
      'The base of Kelp follows Deepwater; cut that first.',
    );
    const { families } = resolveSystem(doc);
    const bases = (id: string) => families.get(id)?.base.color ?? null;
    const kelp = doc.families.find(({ id }) => id === 'kelp')!;
    fc.assert(
      fc.property(fc.integer({ min: 0x101010, max: 0xefefef }), (n) => {
        const color = `#${n.toString(16).padStart(6, '0')}`;
        const change = baseChange(kelp, color, bases);
        if (!change.ok || !change.follows) throw new Error('It can be moved.');
        const [l, c, h] = hueOf(followingBase(change.follows, kelp.base, bases)!);
        const [wantedL, wantedC, wantedH] = hueOf(color);
        expect(Math.abs(l - wantedL)).toBeLessThan(0.005);
        expect(Math.abs(c - wantedC)).toBeLessThan(0.006);
        if (wantedC > 0.05) expect(Math.abs(((h - wantedH + 540) % 360) - 180)).toBeLessThan(3);
      }),
      { numRuns: 300 },
    );
  });

  it.each<[string, Command, string]>([
    [
      'itself',
      { ...turn, family: 'deepwater' } as Command,
      'Deepwater would come of itself: Deepwater → Deepwater.',
    ],
    [
      'one that follows it',
      {
        type: 'setFollows',
        family: 'deepwater',
        follows: { by: 'between', family: 'f2', other: 'buoy', share: 0 },
      },
      'Deepwater would come of itself: Deepwater → Foam → Buoy → Deepwater.',
    ],
    [
      'a ground that shows its own shades',
      {
        type: 'setLink',
        role: 'page-ground',
        theme: 'day',
        link: { to: 'shade', family: 'f2', shade: '50' },
      },
      'page.ground would come of itself: page.ground → Foam → Mist → page.ground.',
    ],
  ])('cannot follow %s', (_, command, reason) => {
    expect(reasonOf(ENTWINED, command)).toBe(reason);
  });
});

describe('a growth on something of the project', () => {
  it('follows the role, as it is seen in its theme', () => {
    const system = resolveSystem(ENTWINED);
    const ground = (s: System) => s.families.get('f1')!.ground;
    // The base of Buoy at 40 %, over the page, which is itself that colour over white.
    expect(ground(system)).toMatch(/^#/);
    const darker = after(ENTWINED, {
      type: 'setLink',
      role: 'page-ground',
      theme: 'day',
      link: { to: 'color', color: '#101010' },
    });
    const next = resolveSystem(darker, system);
    expect(ground(next)).toBe('#101010');
    expect(next.families.get('f2')!.ground).toBe(next.families.get('f1')!.byLabel.get('950')!.css);
    const elsewhere = after(darker, {
      type: 'setLink',
      role: 'page-ground',
      theme: 'night',
      link: { to: 'color', color: '#ffffff' },
    });
    expect(resolveSystem(elsewhere, next).families.get('f1')).toBe(next.families.get('f1'));
  });
});

describe('edits of families', () => {
  const demo = resolveSystem(SKERRY_LINE);
  const deepwater = demo.families.get('deepwater')!;

  it('splitting, inserting and duplicating change no colour of the system', () => {
    for (const resolved of demo.families.values()) {
      for (const at of splitPlaces(resolved)) {
        const next = resolveSystem(after(SKERRY_LINE, split(SKERRY_LINE, resolved, at, 'new')));
        expect(painted(next)).toEqual(painted(demo));
        const [a, b] = [resolved.family.id, 'new'].map((id) => next.families.get(id)!);
        expect(a!.shades.length + b!.shades.length).toBe(11);
        expect(readoutOf(next).broken).toEqual([]);
      }
      const at = resolved.shades.findIndex(({ isBase }) => isBase) === 4 ? 6 : 4;
      const { command, label } = shadeInserted(resolved, at);
      const more = resolveSystem(after(SKERRY_LINE, command));
      expect(painted(more)).toEqual(painted(demo));
      expect(more.families.get(resolved.family.id)!.shades[at + 1]!.label).toBe(label);
    }
    const twice = after(SKERRY_LINE, duplicated(SKERRY_LINE, deepwater.family, 'new'));
    expect(twice.families.slice(0, 2).map(({ name }) => name)).toEqual(['Deepwater', 'Deepwater 2']);
  });

  it('removing hands its uses to another family, or leaves them their colours', () => {
    const kelp = resolveSystem(
      after(SKERRY_LINE, removed(demo, 'deepwater', { by: 'family', family: 'kelp' })),
    );
    expect(readoutOf(kelp).broken).toEqual([]);
    expect(kelp.themes.get('day')!.roles.get('action-fill')!.source).toEqual({
      family: 'kelp',
      shade: '700',
    });
    const kept = resolveSystem(after(SKERRY_LINE, removed(demo, 'deepwater', { by: 'colors' })));
    expect(painted(kept)).toEqual(painted(demo));
    const lost = after(SKERRY_LINE, removed(demo, 'deepwater', { by: 'nothing' }));
    expect(readoutOf(resolveSystem(lost)).broken.length).toBeGreaterThan(8);
  });

  it('a shade is taken out, and what used it uses what is said', () => {
    const instead = { to: 'shade', family: 'deepwater', shade: '700' } as const;
    const next = resolveSystem(after(SKERRY_LINE, shadeTakenOut(SKERRY_LINE, deepwater, '800', instead)));
    expect(next.families.get('deepwater')!.byLabel.has('800')).toBe(false);
    expect(next.themes.get('day')!.roles.get('action-hover')!.source).toMatchObject({ shade: '700' });
    const others = (system: System) =>
      system.families.get('deepwater')!.shades.filter(({ label }) => label !== '800');
    expect(others(next).map(({ css }) => css)).toEqual(others(demo).map(({ css }) => css));
  });

  it('a shade set by hand becomes the base, or a family that its uses go to', () => {
    const doc = after(SKERRY_LINE, {
      type: 'setShade',
      family: 'deepwater',
      shade: '800',
      color: '#3a2a6b',
    });
    const system = resolveSystem(doc);
    const resolved = system.families.get('deepwater')!;
    expect(resolved.byLabel.get('800')).toMatchObject({
      handSet: true,
      css: '#3a2a6b',
      grown: deepwater.byLabel.get('800')!.css,
    });
    const own = after(doc, familyFromShade(doc, resolved, '800', { id: 'new', name: 'Dusk' })!);
    expect(painted(resolveSystem(own))).toEqual(painted(system));
    expect(resolveSystem(own).families.get('deepwater')!.byLabel.get('800')!.handSet).toBe(false);
    const made = baseFromShade(resolved, '800')!;
    const follows = resolveSystem(after(doc, made.command));
    expect(made.at).toBe('800');
    expect(follows.families.get('deepwater')!.byLabel.get('800')).toMatchObject({
      isBase: true,
      handSet: false,
      css: '#3a2a6b',
    });
    expect(base(follows, 'deepwater')).toBe('#3a2a6b');
    expect(readoutOf(follows).handSet).toEqual([]);
    expect(baseFromShade(deepwater, '800')).toBeNull();
    // One that is out of order says where it goes instead.
    const out = after(SKERRY_LINE, {
      type: 'setShade',
      family: 'deepwater',
      shade: '800',
      color: '#d9f0f3',
    });
    const moved = baseFromShade(resolveSystem(out).families.get('deepwater')!, '800')!;
    expect(moved.at).not.toBe('800');
    expect(resolveSystem(after(out, moved.command)).families.get('deepwater')!.base.label).toBe(moved.at);
  });
});
