import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it, test } from 'vitest';
import { contrastRatio, paintedOver } from '../../contrast/ratio.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { repairAll, repairCommands } from '../../edits/repairs/repair-all.ts';
import { repairPair } from '../../edits/repairs/repair-pair.ts';
import { derivedTheme } from '../../edits/themes/derive-theme.ts';
import { writeCheckScript } from '../../exchange/check-script.ts';
import { writeCodeList } from '../../exchange/code-list.ts';
import { writeCss } from '../../exchange/css.ts';
import { slices } from '../../gradient/model.ts';
import { drain } from '../../in-parts/drain.ts';
import { groundOf } from '../../judged/pairs/measure.ts';
import { dependentsOf } from '../../judged/readout/dependents.ts';
import { ratioTable } from '../../judged/readout/ratio-table.ts';
import { allMeasurements } from '../../judged/readout/readout.ts';
import { wholeReadout } from '../../judged/readout/whole-readout.fixture.ts';
import { paintedGradient } from '../../system/gradients/resolved-gradient.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { rolePaint } from '../../system/roles/role-paint.ts';
import { after } from '../commands/after.fixture.ts';
import { applyCommand } from '../commands/apply.ts';
import type { Command } from '../commands/command.ts';
import type { ProjectDocument } from '../document.ts';
import type { Link, RoleLink } from '../links/link.ts';

const linked = (role: string, link: RoleLink, theme = 'day'): Command => ({
  type: 'setLink',
  role,
  theme,
  link,
});
const byFirstLight = (role: string, theme = 'day') =>
  linked(role, { to: 'gradient', gradient: 'first-light' }, theme);
/** The accent of the day is First light; at night it is the shade that it was. */
const PAINTED = after(SKERRY_LINE, byFirstLight('accent-fill'));
const reasonOf = (doc: ProjectDocument, command: Command) => {
  const result = applyCommand(doc, command);
  return result.ok ? null : result.reason;
};
const measuredIn = (doc: ProjectDocument, pair: string, theme = 'day') =>
  wholeReadout(resolveSystem(doc))
    .measured.get(theme)!
    .measurements.find((one) => one.pair.id === pair)!;

describe('a role that a gradient paints', () => {
  it('is that gradient in one theme and a shade in another, by way of another role too', () => {
    const doc = after(PAINTED, linked('board-ground', { to: 'role', role: 'accent-fill' }));
    const { themes } = resolveSystem(doc);
    expect(rolePaint(themes.get('day')!, 'accent-fill')).toMatch(/^linear-gradient\(105deg in oklab, #/);
    expect(rolePaint(themes.get('day')!, 'board-ground')).toBe(rolePaint(themes.get('day')!, 'accent-fill'));
    expect(rolePaint(themes.get('night')!, 'accent-fill')).toMatch(/^#/);
    const { color, problem, gradient } = themes.get('day')!.roles.get('board-ground')!;
    expect([color, problem, gradient]).toEqual([null, null, 'first-light']);
  });

  test.each([
    ['a ring', byFirstLight('focus-ring'), 'it draws a ring'],
    ['a line', byFirstLight('line-soft'), 'it draws lines and borders'],
    ['the page', byFirstLight('page-ground'), 'it lies beneath the page'],
    ['what a stop is', byFirstLight('action-fill'), 'a stop of Wake takes its colour from it'],
    [
      'what is seen through an opacity',
      linked('board-ground', { to: 'role', role: 'accent-fill', opacity: 0.5 }),
      'it is shown through an opacity',
    ],
    [
      'what follows it into a line',
      linked('line-strong', { to: 'role', role: 'accent-fill' }, 'day'),
      'it draws lines and borders',
    ],
    ['what is said to be a line', { type: 'setUse', role: 'accent-fill', use: 'line' }, 'it draws lines'],
    [
      'what becomes a line by its name',
      { type: 'renameRole', role: 'accent-fill', group: ['accent'], name: 'border' },
      'it draws lines',
    ],
    [
      'a veil',
      { type: 'setPair', pair: 'accent-text-on-accent-fill', change: { veil: 'accent-fill' } },
      'it is the veil of a pair',
    ],
    [
      'a colour for a stop',
      {
        type: 'linkStop',
        gradient: 'wake',
        stop: 'deep',
        link: { to: 'role', role: 'accent-fill' },
      },
      'a stop of Wake takes its colour from it',
    ],
    [
      'what a family grows on',
      {
        type: 'setGrowth',
        family: 'kelp',
        growth: {
          kind: 'contrast',
          labels: ['50', '500'],
          ratios: [1.2, 4.5],
          ground: { to: 'role', role: 'accent-fill', theme: 'day' },
        },
      },
      'Kelp is grown on it',
    ],
  ] satisfies [string, Command, string][])('cannot be %s, and it is said why', (_, command, need) => {
    const reason = reasonOf(PAINTED, command);
    expect(reason).toContain('needs one colour and not First light');
    expect(reason).toContain(need);
    // The same with a shade is nothing to refuse.
    const plain = after(PAINTED, linked('accent-fill', { to: 'shade', family: 'buoy', shade: '500' }));
    const isLink = command.type === 'setLink' && command.link?.to === 'gradient';
    if (!isLink) expect(reasonOf(plain, command)).toBeNull();
  });

  it('is let go in the same batch that makes it a line', () => {
    const batch: Command = {
      type: 'batch',
      label: 'change',
      commands: [
        { type: 'setUse', role: 'accent-fill', use: 'line' },
        { type: 'setLink', role: 'accent-fill', theme: 'day', link: { to: 'base', family: 'buoy' } },
      ],
    };
    expect(reasonOf(PAINTED, batch)).toBeNull();
  });

  it('is a broken link when the gradient goes, and mended when it comes back', () => {
    const system = resolveSystem(PAINTED);
    const gone = after(PAINTED, { type: 'removeGradient', gradient: 'first-light' });
    const without = resolveSystem(gone, system);
    expect(wholeReadout(without).broken).toContainEqual(
      expect.objectContaining({ kind: 'role', id: 'accent-fill', theme: 'day' }),
    );
    const back = resolveSystem(PAINTED, without);
    expect(wholeReadout(back).broken).toEqual([]);
    expect(back.themes.get('day')!.roles.get('accent-fill')!.gradient).toBe('first-light');
  });

  it('stays the gradient in a theme that is derived', () => {
    const { links } = derivedTheme(resolveSystem(PAINTED), 'day', 'down');
    expect(links['accent-fill']).toEqual({ to: 'gradient', gradient: 'first-light' });
  });
});

describe('a text on what a gradient paints', () => {
  it('is measured at its worst place along the whole gradient', () => {
    const { ratio, over, ground, passes } = measuredIn(PAINTED, 'accent-text-on-accent-fill');
    const system = resolveSystem(PAINTED);
    const theme = system.themes.get('day')!;
    const white = { r: 255, g: 255, b: 255, alpha: 1 };
    const ratios = slices(paintedGradient(theme.gradients.get('first-light')!)!, 4001).map(({ r, g, b }) =>
      contrastRatio(white, { r: Math.round(r), g: Math.round(g), b: Math.round(b), alpha: 1 }),
    );
    expect(ratio).toBeCloseTo(Math.min(...ratios), 2);
    expect(over!.along).toBeCloseTo((ratios.indexOf(Math.min(...ratios)) / 4000) * 100, 0);
    expect([passes, ground]).toEqual([false, expect.objectContaining({ alpha: 1 })]);
    expect(over!.failing).toBeCloseTo(ratios.filter((one) => one < 3).length / 4001, 1);
  });

  it('is measured in all its own colours where the gradient fills the text', () => {
    const doc = after(SKERRY_LINE, byFirstLight('text-link'));
    const { ratio, over, ground } = measuredIn(doc, 'text-link-on-page-ground');
    const theme = resolveSystem(doc).themes.get('day')!;
    const ratios = slices(paintedGradient(theme.gradients.get('first-light')!)!, 2001).map((c) =>
      contrastRatio(paintedOver(c, ground!), ground!),
    );
    expect(ratio).toBeCloseTo(Math.min(...ratios), 2);
    expect(over!.along).toBeCloseTo(100, 0);
    expect(repairPair(resolveSystem(doc), theme, measuredIn(doc, 'text-link-on-page-ground'))).toEqual({
      kind: 'none',
      reason: expect.stringContaining('A gradient paints the text, First light: it is worst at 100 %'),
    });
  });

  it('is measured against every ground where both are gradients', () => {
    const doc = after(PAINTED, byFirstLight('accent-text'));
    // Somewhere a colour of the text meets its own.
    expect(measuredIn(doc, 'accent-text-on-accent-fill').ratio).toBeLessThan(1.05);
  });

  it('follows the gradient, its stops, its links and what shows through, as if measured anew', () => {
    const clear: Link = { to: 'color', color: '#ffcc0055' };
    const commands: Command[] = [
      // Beneath everything, with nothing that shows it; then through a stop, and through a role of one colour.
      linked('page-ground', { to: 'color', color: '#334455' }),
      { type: 'linkStop', gradient: 'first-light', stop: 'sun', link: clear },
      linked('page-ground', { to: 'color', color: '#eeddcc' }),
      linked('board-ground', clear),
      linked('page-ground', { to: 'color', color: '#112233' }),
      linked('page-ground', { to: 'color', color: '#ddeeff' }),
      { type: 'setBase', family: 'lantern', color: '#3355aa' },
      { type: 'removeStop', gradient: 'first-light', stop: 'sun' },
      { type: 'setGradient', gradient: 'first-light', change: { space: 'srgb' } },
      { type: 'removeGradient', gradient: 'first-light' },
      linked('accent-fill', { to: 'gradient', gradient: 'wake' }),
      linked('accent-fill', { to: 'shade', family: 'buoy', shade: '500' }),
      byFirstLight('accent-fill', 'night'),
    ];
    let doc = PAINTED;
    let readout = wholeReadout(resolveSystem(doc));
    const figures = (of: typeof readout) =>
      allMeasurements(of).map(({ pair, theme, ratio, passes }) => [pair.id, theme, ratio, passes]);
    for (const command of commands) {
      doc = after(doc, command);
      readout = wholeReadout(resolveSystem(doc, readout.system), readout);
      expect(figures(readout)).toEqual(figures(wholeReadout(resolveSystem(doc))));
    }
  });

  it('is repaired by its own shade or by a veil, and never broken by repairing others', () => {
    const doc = after(PAINTED, linked('accent-text', { to: 'shade', family: 'shingle', shade: '50' }));
    const system = resolveSystem(doc);
    const repair = repairPair(
      system,
      system.themes.get('day')!,
      measuredIn(doc, 'accent-text-on-accent-fill'),
    );
    expect(repair).toMatchObject({ kind: 'repair', side: 'veil' });
    const mended = after(doc, (repair as { command: Command }).command);
    expect(measuredIn(mended, 'accent-text-on-accent-fill').passes).toBe(true);
    const repaired = drain(repairAll(resolveSystem(mended)));
    const all = after(mended, {
      type: 'batch',
      label: 'repair',
      commands: repairCommands(repaired.repairs),
    });
    const passing = (one: ProjectDocument) =>
      allMeasurements(wholeReadout(resolveSystem(one))).map(({ passes }) => passes);
    expect(passing(all)).toContain(true);
    expect(passing(mended).filter((passes, i) => passes && !passing(all)[i])).toEqual([]);
    // Under the veil the same colour is asked of everything that the ground is seen through.
    expect(groundOf(resolveSystem(all), resolveSystem(all).themes.get('day')!).alpha).toBe(1);
  });
});

describe('the table of ratios', () => {
  it('holds the worst colour of what a gradient paints against the others', () => {
    const system = resolveSystem(PAINTED);
    const [front, back] = [
      { kind: 'role', role: 'accent-text' },
      { kind: 'role', role: 'accent-fill' },
    ] as const;
    const [ratio] = ratioTable(system, [front], [back], ['day']);
    expect(ratio).toBeCloseTo(measuredIn(PAINTED, 'accent-text-on-accent-fill').ratio, 1);
    const [worst] = ratioTable(system, [front], [back], ['day', 'night']);
    expect(worst).toBe(ratio);
  });
});

describe('what is handed over of it', () => {
  it('is the role’s own property, a gradient’s in one theme and a colour in another', () => {
    const css = writeCss(resolveSystem(PAINTED));
    const [, day, night] = css.split(/\[data-theme="/);
    expect(day).toContain('--accent-fill: var(--gradient-first-light);');
    expect(night).toContain('--accent-fill: var(--buoy-400);');
    const list = writeCodeList(resolveSystem(PAINTED));
    expect(list).toMatch(/linear-gradient\(105deg in oklab, .*\) {2}accent\.fill/);
  });

  it('is left to the report by the check for a build, which says so', () => {
    const folder = mkdtempSync(join(tmpdir(), 'mint-lamp-gradients-'));
    const system = resolveSystem(PAINTED);
    writeFileSync(join(folder, 'check.mjs'), writeCheckScript(system));
    writeFileSync(join(folder, 'colours.css'), writeCss(system));
    const { stdout, stderr } = spawnSync('node', ['check.mjs', 'colours.css'], {
      cwd: folder,
      encoding: 'utf8',
    });
    rmSync(folder, { recursive: true });
    expect(stdout).toContain(
      '1 more are painted by gradients, which are measured in the report and not here.',
    );
    expect(stderr).toMatch(/of 35 measurements fail/);
    expect(stderr).not.toContain('is no colour');
  });

  it('depends on the shades of its stops', () => {
    const { roles, pairs } = dependentsOf(resolveSystem(PAINTED), {
      kind: 'shade',
      family: 'lantern',
      shade: '300',
    });
    expect(roles.find(({ role }) => role.id === 'accent-fill')!.themes).toEqual(['day']);
    expect(pairs.map(({ id }) => id)).toContain('accent-text-on-accent-fill');
  });
});
