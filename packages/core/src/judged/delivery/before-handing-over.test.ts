import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import type { Command } from '../../document/commands/command.ts';
import type { FormId } from '../../document/delivery/forms.ts';
import { resolveSystem } from '../../system/resolve.ts';
import { underTexts } from '../pairs/under-text.ts';
import { readoutOf } from '../readout/readout.ts';
import { beforeHandingOver } from './before-handing-over.ts';

const kinds = (form: FormId, ...commands: Command[]) =>
  findings(form, [], ...commands).map(({ kind, count, names }) => [kind, count, names]);

const findings = (form: FormId, otherwise: readonly string[], ...commands: Command[]) =>
  beforeHandingOver(
    readoutOf(resolveSystem(after(SKERRY_LINE, ...commands)), undefined, underTexts),
    form,
    otherwise,
  );

const family = (name: string): Command => ({
  type: 'addFamily',
  family: { ...SKERRY_LINE.families[0]!, id: 'new', name },
});

describe('before handing over', () => {
  it('what fails is told', () => {
    expect(kinds('css')).toEqual([['failing', 3, []]]);
  });

  it.each<[FormId, Command[], unknown]>([
    ['css', [family('Foam')], ['unused-families', 1, ['Foam']]],
    [
      'css',
      [{ type: 'addRole', role: { id: 'x', group: ['deepwater'], name: '50', links: {} } }],
      ['names-alike', 1, ['Deepwater 50 and deepwater.50']],
    ],
    [
      'css',
      [{ type: 'addRole', role: { id: 'x', group: ['page'], name: 'role-2', links: {} } }],
      ['unnamed-roles', 1, ['page.role-2']],
    ],
    ['tokens', [family('A.B {c}')], ['names-otherwise', 1, ['A.B {c}']]],
    [
      'css',
      [
        {
          type: 'addNote',
          note: {
            id: 'n',
            on: { kind: 'role', role: 'text-main' },
            text: 'x',
            by: '',
            at: 0,
            settled: false,
            answers: [],
          },
        },
      ],
      ['notes', 1, []],
    ],
    [
      'css',
      [{ type: 'setLink', role: 'text-main', theme: 'day', link: { to: 'color', color: '#07191f' } }],
      ['alike', 1, []],
    ],
    ['css', [{ type: 'removeFamily', family: 'kelp' }], ['broken', expect.any(Number), []]],
  ])('in %s, after %o, too', (form, commands, told) => {
    expect(kinds(form, ...commands)).toContainEqual(told);
  });

  it('gradients that engines paint otherwise are named where they are known', () => {
    expect(findings('css', ['wake'])).toContainEqual({
      kind: 'painted-otherwise',
      count: 1,
      names: ['Wake'],
      first: 'wake',
    });
    expect(kinds('css').map(([kind]) => kind)).not.toContain('painted-otherwise');
  });

  it('names that get a number are nothing to a picture', () => {
    const role: Command = { type: 'addRole', role: { id: 'x', group: ['deepwater'], name: '50', links: {} } };
    expect(kinds('png', role).map(([kind]) => kind)).not.toContain('names-alike');
  });
});
