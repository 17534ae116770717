import { describe, expect, it } from 'vitest';
import { contrastRatio } from '../../contrast/ratio.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { writeRoleName } from '../../document/naming/role-name.ts';
import { paint } from '../../system/painted.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { isPaired, type StoodOn, standCommand, standingOn } from './standing-on.ts';

const system = resolveSystem(SKERRY_LINE);
const day = system.themes.get('day')!;
const roleOf = (name: string) => SKERRY_LINE.roles.find((role) => writeRoleName(role) === name)!;
const fill = roleOf('action.fill');
let ids = 0;
const newId = () => `new${++ids}`;
const stand = (name: RegExp, on: StoodOn, lit = day.roles.get(fill.id)!.color!) => {
  const text = standingOn(system, day, lit, 'role' in on ? on.role : null).find((one) =>
    name.test(one.name),
  )!;
  return standCommand(system, 'day', text, on, newId);
};

describe('what can stand on a colour', () => {
  it('is the project’s texts, its lightest and darkest, white and black, each with its ratio', () => {
    const lit = day.roles.get(fill.id)!.color!;
    const all = standingOn(system, day, lit, fill.id);
    expect(all.map(({ name }) => name)).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^lightest: /),
        expect.stringMatching(/^darkest: /),
        'white',
        'black',
      ]),
    );
    expect(all.filter(({ link }) => link.to === 'role').length).toBeGreaterThan(1);
    for (const { painted, ratio } of all)
      if (painted.alpha === 1) expect(ratio).toBeCloseTo(contrastRatio(painted, lit), 9);
    const best = all.filter((one) => one.best);
    expect(best).toHaveLength(1);
    expect(best[0]!.ratio).toBeGreaterThanOrEqual(4.5);
    expect(best[0]!.link.to).toBe('role');
  });

  it('marks what stands out most where none of the project’s texts does', () => {
    const bare = resolveSystem({ ...SKERRY_LINE, roles: [], pairs: [], ground: null });
    const all = standingOn(bare, bare.themes.get('day')!, paint('#ffd400'));
    expect(all.find((one) => one.best)!.ratio).toBe(Math.max(...all.map(({ ratio }) => ratio)));
    expect(all.find((one) => one.best)!.name).toMatch(/black|darkest/);
  });

  it('goes to use with one edit: as a pair, for the group’s own text, or as roles of its own', () => {
    const label = roleOf('text.main');
    expect(isPaired(SKERRY_LINE.pairs, { to: 'role', role: label.id }, { role: fill.id })).toBe(false);
    const paired = standCommand(
      system,
      'day',
      { link: { to: 'role', role: label.id }, name: 'text.main' },
      { role: fill.id },
      newId,
    )!;
    expect(after(SKERRY_LINE, paired.command).pairs.at(-1)).toMatchObject({
      id: paired.pair,
      foreground: label.id,
      background: fill.id,
    });
    // action.text stands on action.fill: it is given the colour, in this theme, and no pair is made twice.
    const white = after(SKERRY_LINE, stand(/^black$/, { role: fill.id })!.command);
    expect(white.pairs).toHaveLength(SKERRY_LINE.pairs.length);
    const text = white.roles.find((role) => writeRoleName(role) === 'action.text')!;
    expect(text.links.day).toEqual({ to: 'color', color: '#000000' });
    expect(text.links.night).toEqual(roleOf('action.text').links.night);
    const link = { to: 'shade', family: 'kelp', shade: '700' } as const;
    const own = after(SKERRY_LINE, stand(/^white$/, { link, name: 'Kelp 700' })!.command);
    expect(own.roles.slice(-2).map(writeRoleName)).toEqual(['kelp-700.ground', 'kelp-700.text']);
    expect(own.roles.at(-2)!.links.night).toEqual(link);
    expect(own.pairs).toHaveLength(SKERRY_LINE.pairs.length + 1);
  });

  it('is nothing to do where it stands there already', () => {
    const text = roleOf('action.text');
    const same = { link: { to: 'role', role: text.id }, name: 'action.text' } as const;
    expect(standCommand(system, 'day', same, { role: fill.id }, newId)).toBeNull();
  });
});
