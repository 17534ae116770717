import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { Link } from '../../document/links/link.ts';
import { linkName } from '../../document/naming/link-name.ts';
import { writeCss } from '../../exchange/css.ts';
import { resolveFamily } from '../../system/families/resolved-family.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { linksToBase } from './link-to-base.ts';

const deepwater = SKERRY_LINE.families.find(({ id }) => id === 'deepwater')!;
const { label } = resolveFamily(deepwater).base;
const commands = linksToBase(SKERRY_LINE, 'deepwater', label);
const linked = after(SKERRY_LINE, { type: 'batch', label: 'link to the base', commands });

describe('a link to a base', () => {
  it('paints what the shade there painted, and stays with the base when that moves elsewhere', () => {
    expect(commands.length).toBeGreaterThan(1);
    const colors = (document: typeof SKERRY_LINE) =>
      [...resolveSystem(document).themes.values()].map((theme) =>
        [...theme.roles.values()].map(({ color }) => color?.css),
      );
    expect(colors(linked)).toEqual(colors(SKERRY_LINE));
    const lighter = after(linked, { type: 'setBase', family: 'deepwater', color: '#7fb4bd' });
    expect(resolveFamily(lighter.families[0]!).base.label).not.toBe(label);
    const roleOf = (document: typeof SKERRY_LINE) =>
      document.roles.find(({ links }) => Object.values(links).some((link) => link.to === 'base'))!;
    const role = roleOf(lighter);
    const theme = Object.entries(role.links).find(([, link]) => link.to === 'base')![0];
    expect(resolveSystem(lighter).themes.get(theme)!.roles.get(role.id)!.color!.css).toBe('#7fb4bd');
  });

  it('is named plainly, and is broken where its family is gone', () => {
    const link: Link = { to: 'base', family: 'deepwater', opacity: 0.4 };
    expect(linkName(SKERRY_LINE, link)).toBe('Deepwater base at 40 %');
    const without = after(linked, { type: 'removeFamily', family: 'deepwater' });
    const broken = [...resolveSystem(without).themes.get('day')!.roles.values()].filter(
      ({ link: own }) => own?.to === 'base',
    );
    expect(broken.length).toBeGreaterThan(0);
    for (const { color, problem } of broken)
      expect([color, problem]).toEqual([null, expect.stringMatching(/family/)]);
  });

  it('is a custom property of its own in the exported CSS', () => {
    const css = writeCss(resolveSystem(linked));
    expect(css).toContain(`--deepwater-base: var(--deepwater-${label}); /* the base itself */`);
    expect(css).toMatch(/--action-fill: var\(--deepwater-base\);/);
    expect(writeCss(resolveSystem(SKERRY_LINE))).not.toContain('-base');
  });
});
