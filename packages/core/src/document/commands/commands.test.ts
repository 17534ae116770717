import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import type { ProjectDocument } from '../document.ts';
import { documentSchema } from '../document-schema.ts';
import { stopsOf } from '../gradients/gradient.ts';
import { after } from './after.fixture.ts';
import { applyCommand } from './apply.ts';
import type { Command } from './command.ts';
import { commandSchema } from './command-schema.ts';
import { describeCommand } from './describe.ts';
import { command, SIMPLE } from './random-command.fixture.ts';
import { anyDocument } from './random-document.fixture.ts';
import { ENTWINED, SMALL } from './small-documents.fixture.ts';

/** Freezes all of a value that is not frozen yet. */
function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    for (const part of Object.values(value)) frozen(part);
  }
  return value;
}

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value));

/** Applies what fits of some commands, and takes it all back. */
function goThereAndBack(
  from: ProjectDocument,
  commands: readonly Command[],
  applied: Set<string>,
  told: Set<string>,
): void {
  let document = from;
  const trail: { document: ProjectDocument; inverse: Command }[] = [];
  for (const next of commands) {
    const result = applyCommand(document, frozen(next));
    if (!result.ok) {
      told.add(result.reason);
      continue;
    }
    applied.add(next.type);
    trail.push({ document, inverse: result.inverse });
    document = frozen(result.document);
    const { error } = commandSchema.validate(result.inverse);
    if (error) throw error;
  }
  // What lies on the way is at the end of other sequences, which are as likely.
  const { error } = documentSchema.validate(document);
  if (error) throw error;
  for (const { document: was, inverse } of trail.reverse()) {
    // Through JSON, as the inverse of an edit may come from a log.
    const back = applyCommand(document, plain(inverse));
    if (!back.ok) throw new Error(`${inverse.type}: ${back.reason}`);
    if (!isDeepStrictEqual(back.document, was)) throw new Error(`${inverse.type} does not restore.`);
    document = back.document;
  }
}

/** Characters by which an inverse may be longer: a group that joins another comes apart role by role; what is set whole is brought back whole. */
const ROOM: Readonly<Record<string, number>> = { renameRoleGroup: 400, setGrowth: 250, setStops: 400 };

describe('commands', () => {
  it('hold over random sequences: inverses restore exactly, schemas accept, refusals change nothing', () => {
    const applied = new Set<string>();
    const told = new Set<string>();
    // What is frozen throws when a command would change it in place.
    frozen(SMALL);
    fc.assert(
      fc.property(fc.array(command, { minLength: 1, maxLength: 8 }), (commands) =>
        goThereAndBack(SMALL, commands, applied, told),
      ),
      { numRuns: runs(10_000) },
    );
    // Every kind of command was really among those that went through, and every refusal is a sentence.
    expect(applied.size).toBe(SIMPLE.length + 1);
    for (const reason of told) expect(reason).toMatch(/^[A-Z"a-z].+[.a-z]$/);
  });

  it('hold so where families follow each other, roles and bases, and refuse circles by their names', () => {
    const told = new Set<string>();
    frozen(ENTWINED);
    fc.assert(
      fc.property(fc.array(command, { minLength: 1, maxLength: 8 }), (commands) =>
        goThereAndBack(ENTWINED, commands, new Set(), told),
      ),
      { numRuns: runs(3000) },
    );
    const circles = [...told].filter((reason) => / would come of itself: .+ → /.test(reason));
    expect(circles.length).toBeGreaterThan(5);
  });

  it('hold so on any document that the schema accepts, also such as no command makes', () => {
    const applied = new Set<string>();
    fc.assert(
      fc.property(anyDocument, fc.array(command, { minLength: 1, maxLength: 8 }), (document, commands) =>
        goThereAndBack(frozen(document), commands, applied, new Set()),
      ),
      { numRuns: runs(6000) },
    );
    expect(applied.size).toBeGreaterThan(SIMPLE.length - 6);
  });

  it('have inverses about as small as themselves, those that bring back a whole thing aside', () => {
    fc.assert(
      fc.property(command, (next) => {
        const result = applyCommand(SMALL, next);
        if (!result.ok || next.type === 'batch' || /^remove/.test(next.type)) return;
        const [there, back] = [next, result.inverse].map((one) => JSON.stringify(one).length);
        const room = ROOM[next.type] ?? 120;
        if (back! > there! + room) throw new Error(`${next.type}: ${JSON.stringify(result.inverse)}`);
      }),
      { numRuns: runs(2000) },
    );
  });

  it('are all accepted by the schema, whether they fit or not', () => {
    fc.assert(
      fc.property(command, (next) => {
        const { error } = commandSchema.validate(next);
        if (error) throw new Error(`${JSON.stringify(next)}: ${error.message}`);
      }),
      { numRuns: runs(2000) },
    );
  });

  it('can be told in words', () => {
    fc.assert(
      fc.property(command, (next) => {
        expect(describeCommand(SMALL, next)).toMatch(/^[a-z]+ .+/);
      }),
      { numRuns: 500 },
    );
  });

  const refusals: [string, Command, RegExp][] = [
    ['a removed family', { type: 'setBase', family: 'x', color: '#fff' }, /no longer exists/],
    [
      'a name that is taken',
      { type: 'renameFamily', family: 'buoy', name: 'DEEPWATER' },
      /named "Deepwater" already/,
    ],
    ['a name without letters', { type: 'renameFamily', family: 'buoy', name: '…' }, /at least one letter/],
    [
      'a name that a role has already',
      { type: 'renameRole', role: 'text-main', group: ['page'], name: 'ground' },
      /role page\.ground already/,
    ],
    [
      'a name whose custom property another role has, naming it',
      { type: 'renameRole', role: 'text-main', group: [], name: 'page-ground' },
      /page-ground would have the same CSS name as the role page\.ground, --page-ground;/,
    ],
    [
      'a name without a letter',
      { type: 'renameRole', role: 'text-main', group: ['…'], name: 'main' },
      /at least one letter or digit/,
    ],
    [
      'what a kind of gradient does not have',
      { type: 'setGradient', gradient: 'wake', change: { from: 30 } },
      /^Wake is linear and has no from\.$/,
    ],
    [
      'a link to itself',
      { type: 'setLink', role: 'text-main', theme: 'day', link: { to: 'role', role: 'text-main' } },
      /text\.main → text\.main/,
    ],
    [
      'the last theme',
      {
        type: 'batch',
        label: 'x',
        commands: [
          { type: 'removeTheme', theme: 'day' },
          { type: 'removeTheme', theme: 'night' },
        ],
      },
      /^Night sailing is the only theme that is left/,
    ],
    ['the ground of the page', { type: 'removeRole', role: 'page-ground' }, /choose another ground first/],
    [
      'a pair of one role',
      { type: 'setPair', pair: SMALL.pairs[0]!.id, change: { foreground: 'page-ground' } },
      /two different roles/,
    ],
    [
      'a batch with one bad command, whole',
      {
        type: 'batch',
        label: 'x',
        commands: [
          { type: 'renameProject', name: 'New' },
          { type: 'removeTheme', theme: 'x' },
        ],
      },
      /theme no longer exists/,
    ],
  ];
  test.each(refusals)('refuse %s, with the reason', (_, next, reason) => {
    const result = applyCommand(SMALL, next);
    expect(!result.ok && result.reason).toMatch(reason);
  });

  it('bring back a hand-set shade whose label was gone when it was taken away', () => {
    const set: Command = { type: 'setShade', family: 'buoy', shade: '500', color: '#123456' };
    const growth = { ...SMALL.families[1]!.growth, labels: ['a', 'b', 'c'] };
    const outlived = after(SMALL, set, { type: 'setGrowth', family: 'buoy', growth } as Command);
    const taken = applyCommand(outlived, { ...set, color: null });
    if (!taken.ok) throw new Error(taken.reason);
    expect(commandSchema.validate(taken.inverse).error).toBeUndefined();
    expect(after(taken.document, taken.inverse)).toEqual(outlived);
    expect(applyCommand(taken.document, set)).toMatchObject({ ok: false });
  });

  it('refuse what could not be taken back in one step, however small it is to write', () => {
    const named = (group: string, name: string) => ({
      id: `${group}-${name}`,
      group: [group],
      name,
      links: {},
    });
    const many: ProjectDocument = {
      ...SMALL,
      roles: [...SMALL.roles, ...Array.from({ length: 900 }, (_, i) => named('a', `n${i}`))],
    };
    // Each time the group joins a role that is there already, it comes apart role by role on the way back.
    const round = (i: number): Command[] => [
      { type: 'addRole', role: named('b', `x${i}`) },
      { type: 'renameRoleGroup', from: ['a'], to: ['b'] },
      { type: 'renameRoleGroup', from: ['b'], to: ['a'] },
    ];
    const rounds = (n: number) =>
      ({
        type: 'batch',
        label: 'x',
        commands: Array.from({ length: n }, (_, i) => round(i)).flat(),
      }) as Command;
    const twice = applyCommand(many, rounds(2));
    expect(twice.ok && commandSchema.validate(twice.inverse).error).toBeUndefined();
    const thrice = applyCommand(many, rounds(3));
    expect(!thrice.ok && thrice.reason).toMatch(/too much for one undo/);
  });

  it('refuse the last stop but one, and a loop through another role', () => {
    const two = applyCommand(SMALL, {
      type: 'batch',
      label: 'x',
      commands: ['open-sea', 'dawn'].map(
        (stop) => ({ type: 'removeStop', gradient: 'first-light', stop }) as const,
      ),
    });
    if (!two.ok) throw new Error(two.reason);
    expect(applyCommand(two.document, { type: 'removeStop', gradient: 'first-light', stop: 'sun' }).ok).toBe(
      false,
    );
    const first = applyCommand(SMALL, {
      type: 'setLink',
      role: 'page-ground',
      theme: 'day',
      link: { to: 'role', role: 'page-raised' },
    });
    if (!first.ok) throw new Error(first.reason);
    const loop = applyCommand(first.document, {
      type: 'setLink',
      role: 'page-raised',
      theme: 'day',
      link: { to: 'role', role: 'page-ground' },
    });
    expect(!loop.ok && loop.reason).toMatch(/page\.raised → page\.ground → page\.raised/);
  });

  it('keep stops in order of position when one is moved past another', () => {
    const result = applyCommand(SMALL, {
      type: 'moveStop',
      gradient: 'first-light',
      stop: 'night-sea',
      places: [{ value: 90, unit: '%' }],
    });
    if (!result.ok) throw new Error(result.reason);
    expect(stopsOf(result.document.gradients[0]!).map((s) => s.id)).toEqual([
      'open-sea',
      'dawn',
      'night-sea',
      'sun',
    ]);
  });
});

describe('schemas', () => {
  test.each([
    ['an unknown type', { type: 'dropTables' }],
    ['no type', { name: 'x' }],
    ['a colour that is none', { type: 'setBase', family: 'buoy', color: '#CFF00' }],
    ['a translucent base', { type: 'setBase', family: 'buoy', color: '#ffffff80' }],
    [
      'a translucent ground to grow over',
      {
        type: 'setGrowth',
        family: 'buoy',
        growth: { kind: 'opacity', ground: 'rgb(0 0 0 / 0.5)', labels: ['a', 'b', 'c'], least: 0.1 },
      },
    ],
    [
      'ratios that fall',
      {
        type: 'setGrowth',
        family: 'buoy',
        growth: { kind: 'contrast', ground: '#fff', labels: ['a', 'b', 'c'], ratios: [3, 7, 4.5] },
      },
    ],
    ['a key too many', { type: 'removeTheme', theme: 'day', also: 1 }],
    ['a name that is a number', { type: 'renameProject', name: 7 }],
    ['a control character', { type: 'renameProject', name: 'a\u0000b' }],
    ['half a character', { type: 'renameProject', name: '\ud800' }],
    ['an id that is a property of every object', { type: 'removeTheme', theme: 'constructor' }],
    [
      'a batch in a batch',
      { type: 'batch', label: 'x', commands: [{ type: 'batch', label: 'y', commands: [] }] },
    ],
    [
      'a position beyond the line',
      { type: 'moveStop', gradient: 'g', stop: 's', places: [{ value: 101, unit: '%' }] },
    ],
    ['a role with a dot in its name', { type: 'renameRole', role: 'r', group: [], name: 'a.b' }],
    ['a group with a slash in its name', { type: 'renameRoleGroup', from: ['a'], to: ['b/c'] }],
    ['a link to nothing known', { type: 'setLink', role: 'r', theme: 't', link: { to: 'moon' } }],
  ])('refuse %s', (_, value) => {
    expect(commandSchema.validate(value).error).toBeDefined();
  });

  test.each([
    ['FFF', '#ffffff'],
    ['  Tomato', '#ff6347'],
    ['rgb(11, 95, 107)', '#0b5f6b'],
    ['OKLCH(70% 0.3 150deg)', 'oklch(0.7 0.3 150)'],
  ])('bring the colour %j into its one spelling', (written, canonical) => {
    const command = {
      type: 'addSwatch',
      swatch: { id: 's', name: 'x', color: written, group: '', added: 0 },
    };
    expect(commandSchema.validate(command).value.swatch.color).toBe(canonical);
  });

  it('refuse documents that no command could go on from: no theme, stops out of order or of one id', () => {
    const wake = SKERRY_LINE.gradients[1]!;
    const [first, second, third] = stopsOf(wake);
    const withStops = (stops: unknown) => ({ ...SKERRY_LINE, gradients: [{ ...wake, stops }] });
    expect(documentSchema.validate(withStops([first, second, third])).error).toBeUndefined();
    for (const wrong of [
      { ...SKERRY_LINE, themes: [] },
      withStops([second, first]),
      withStops([first, { ...second, id: first!.id }]),
    ])
      expect(documentSchema.validate(wrong).error).toBeDefined();
  });

  it('refuse documents whose things contradict each other, with the reason', () => {
    const [first, second, ...others] = SKERRY_LINE.roles;
    const pointing = (role: typeof first, to: string) => ({
      ...role!,
      links: { ...role!.links, day: { to: 'role', role: to } },
    });
    const cases: [object, RegExp][] = [
      [{ themes: SKERRY_LINE.themes.map((theme) => ({ ...theme, name: 'Day' })) }, /theme named "Day"/],
      [
        { roles: [first, { ...second, group: first!.group, name: first!.name }] },
        /role page\.ground already/,
      ],
      [
        { roles: [pointing(first, second!.id), pointing(second, first!.id), ...others] },
        /would come of itself/,
      ],
      [{ ground: 'gone' }, /does not exist/],
      [
        { pairs: [{ ...SKERRY_LINE.pairs[0], background: SKERRY_LINE.pairs[0]!.foreground }] },
        /two different/,
      ],
      [{ roles: [{ ...first, links: { dusk: { to: 'color', color: '#ffffff' } } }] }, /theme that does not/],
    ];
    for (const [part, reason] of cases) {
      const { error } = documentSchema.validate({ ...SKERRY_LINE, ground: null, pairs: [], ...part });
      expect(error?.message).toMatch(reason);
    }
  });

  it('accept the demo document and no other version', () => {
    expect(documentSchema.validate(SKERRY_LINE).error).toBeUndefined();
    expect(documentSchema.validate({ ...SKERRY_LINE, version: 1 }).error).toBeDefined();
  });
});
