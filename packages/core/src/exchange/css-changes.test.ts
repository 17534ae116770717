import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../demo/skerry-line.ts';
import { applyCommand } from '../document/commands/apply.ts';
import type { Command } from '../document/commands/command.ts';
import { choicesOf } from '../document/delivery/forms.ts';
import { resolveSystem } from '../system/resolve.ts';
import { type CssChoices, writeCss } from './css.ts';
import { changesBetween, declaredIn } from './css-changes.ts';

const after = (command: Command) => {
  const result = applyCommand(SKERRY_LINE, command);
  if (!result.ok) throw new Error(result.reason);
  return result.document;
};
const cssOf = (document: typeof SKERRY_LINE, choices: CssChoices) =>
  writeCss(resolveSystem(document), choices);

const family = SKERRY_LINE.families[0]!.id;
const [role] = SKERRY_LINE.roles;
const [theme] = SKERRY_LINE.themes;
const CHANGES: readonly (readonly [string, Command])[] = [
  ['a base', { type: 'setBase', family, color: '#a03060' }],
  [
    'a link',
    { type: 'setLink', role: role!.id, theme: theme!.id, link: { to: 'shade', family, shade: '300' } },
  ],
];
const USUAL = choicesOf({}, 'css');
const FORMS: readonly (readonly [string, CssChoices])[] = [
  ['as usual', USUAL],
  ['minified', { ...USUAL, text: 'small' }],
  ['by the system, as OKLCH', { ...USUAL, themes: 'scheme', code: 'oklch', typed: true }],
  ['by a class, resolved', { ...USUAL, themes: 'class', roles: 'resolved', classes: true }],
];

describe('what is laid over a sheet', () => {
  it.each(
    FORMS.flatMap(([form, choices]) => CHANGES.map(([what, command]) => ({ form, choices, what, command }))),
  )('says what the later one says: $what, $form', ({ choices, command }) => {
    const [before, now] = [cssOf(SKERRY_LINE, choices), cssOf(after(command), choices)];
    const changes = changesBetween(declaredIn(before), declaredIn(now))!;
    expect(changes).not.toBe('');
    expect(changes.length).toBeLessThan(now.length / 2);
    expect(declaredIn(before + changes)).toEqual(declaredIn(now));
  });

  it('is nothing for the same sheet, and cannot be where something went', () => {
    const sheet = declaredIn(cssOf(SKERRY_LINE, USUAL));
    expect(changesBetween(sheet, sheet)).toBe('');
    const without = after({ type: 'removeTheme', theme: SKERRY_LINE.themes[1]!.id } as Command);
    expect(changesBetween(sheet, declaredIn(cssOf(without, USUAL)))).toBeNull();
  });

  it('keeps signs in names and comments apart from its own', () => {
    const sheet = declaredIn('/* a { b: c; } */[data-theme="a{b;c"] { --x: url("d;e}"); }');
    expect([...sheet.values()]).toEqual([
      { within: ['[data-theme="a{b;c"]'], declarations: new Map([['--x', 'url("d;e}")']]) },
    ]);
  });
});
