import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { choicesOf } from '../document/delivery/forms.ts';
import { resolveSystem } from '../system/resolve.ts';
import { writeCodeList } from './code-list.ts';
import { writeCss } from './css.ts';
import { cssNames } from './css-names.ts';

const system = resolveSystem(SKERRY_LINE);

describe('the CSS export', () => {
  const css = writeCss(system);
  it('writes shades once and points roles at them with var(), in every theme', () => {
    expect(css.match(/--deepwater-700: #0b5f6b;/g)).toHaveLength(1);
    expect(css.match(/--action-fill: var\(--deepwater-700\);/g)).toHaveLength(1);
    expect(css).toContain(':root,\n[data-theme="day-sailing"] {');
    expect(css).toContain('\n[data-theme="night-sailing"] {');
    expect(css).toContain('--board-text: var(--board-quiet);');
    expect(css).toContain('--hero-veil: color-mix(in srgb, var(--deepwater-950) 65%, transparent);');
    expect(css).toContain('linear-gradient(105deg in oklab, var(--deepwater-900) 0%,');
  });

  it('keeps names apart that would be the same, and comments closed', () => {
    const doc = {
      ...SKERRY_LINE,
      name: 'Tricky */ body { display: none } /*',
      roles: [...SKERRY_LINE.roles, { id: 'x', group: ['deepwater'], name: '700', links: {} }],
    };
    const names = cssNames(doc);
    expect(names.role('x')).toBe('--deepwater-700');
    expect(names.shade('deepwater', '700')).toBe('--deepwater-700-2');
    const written = writeCss(resolveSystem(doc));
    expect(written.split('\n')[0]).toMatch(/^\/\*[^*]*(\*(?!\/)[^*]*)*\*\/$/);
    expect(written).toContain('/* deepwater.700: It has no value in this theme yet. */');
  });

  it('leaves out a gradient without two colours, and says so', () => {
    const families = SKERRY_LINE.families.filter((family) => family.name === 'Buoy');
    expect(writeCss(resolveSystem({ ...SKERRY_LINE, families }))).toContain(
      '/* First light: fewer than two of its stops have a colour */',
    );
  });

  it('writes a gradient anew where its families are called otherwise, a stop has lost its colour or the notation is another', () => {
    const lineOf = (of: string) => /--gradient-first-light: .*;/.exec(of)![0];
    const before = lineOf(css);
    const renamed = SKERRY_LINE.families.map((family) =>
      family.name === 'Deepwater' ? { ...family, name: 'Fjord' } : family,
    );
    expect(lineOf(writeCss(resolveSystem({ ...SKERRY_LINE, families: renamed })))).toBe(
      before.replaceAll('--deepwater-', '--fjord-'),
    );
    const fewer = SKERRY_LINE.families.filter((family) => family.name !== 'Buoy');
    const lost = lineOf(writeCss(resolveSystem({ ...SKERRY_LINE, families: fewer })));
    expect(before).toContain('--buoy-');
    expect(lost).not.toContain('--buoy-');
    expect(lost).toContain('--deepwater-');
    const plain = lineOf(writeCss(system, choicesOf({ css: { roles: 'resolved', code: 'rgb' } }, 'css')));
    expect(plain).not.toContain('var(');
    expect(lineOf(writeCss(system))).toBe(before);
  });
});

describe('the list of hex values', () => {
  it('has a line for each shade and for each role of each theme', () => {
    const lines = writeCodeList(system).trimEnd().split('\n');
    expect(lines).toContain('#0b5f6b  Deepwater 700');
    expect(lines).toContain('#07191ea6  hero.veil');
    expect(lines.filter((line) => line.startsWith('#'))).toHaveLength(66 + 2 * SKERRY_LINE.roles.length);
  });
});
