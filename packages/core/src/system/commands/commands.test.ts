import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { USUAL_GROWTH } from '../../family/growth.ts';
import { describeCommand } from '../describe-command.ts';
import type { Link, ProjectDocument } from '../document.ts';
import { commandSchema, documentSchema } from '../schema.ts';
import { applyCommand } from './apply.ts';
import type { Command, SimpleCommand } from './command.ts';

/** A small document, so that random commands meet each other often. */
const SMALL: ProjectDocument = {
  ...SKERRY_LINE,
  families: SKERRY_LINE.families.slice(0, 2),
  roles: SKERRY_LINE.roles.slice(0, 4),
  pairs: SKERRY_LINE.pairs.slice(0, 2),
};

// Few ids and names, some of them of nothing, so that commands hit, miss and collide.
const familyId = fc.constantFrom('deepwater', 'buoy', 'f1', 'f2');
const roleId = fc.constantFrom('page-ground', 'page-raised', 'page-sunken', 'text-main', 'r1', 'r2');
const themeId = fc.constantFrom('day', 'night', 't1');
const pairId = fc.constantFrom(...SMALL.pairs.map((pair) => pair.id), 'p1');
const gradientId = fc.constantFrom('first-light', 'wake', 'g1');
const stopId = fc.constantFrom('night-sea', 'dawn', 'sun', 'crest', 's1', 's2');
const swatchId = fc.constantFrom('from-letterhead', 'from-funnel', 'w1');
const shade = fc.constantFrom('50', '500', '950', 'deep');
const name = fc.constantFrom('Deepwater', 'Buoy', 'Sand', 'Dune', 'Day sailing', 'Wake', 'Fog');
const path = fc.constantFrom('page/ground', 'text/main', 'text/soft', 'text', 'a/b/c', 'text-main', '/');
const color = fc.constantFrom('#0b5f6b', '#fff', 'rgb(1 2 3 / 0.4)', 'oklch(0.7 0.3 150)', 'tomato');
const index = fc.option(fc.nat(6), { nil: undefined });
const opacity = fc.option(fc.constantFrom(0, 0.4, 1), { nil: undefined });
const position = fc.constantFrom(0, 12.5, 46, 82, 100);
const link: fc.Arbitrary<Link> = fc.oneof(
  fc.record({ to: fc.constant('shade' as const), family: familyId, shade }),
  fc.record({ to: fc.constant('role' as const), role: roleId }),
  fc.record({ to: fc.constant('color' as const), color }),
  fc
    .tuple(familyId, shade, opacity)
    .map(([family, s, o]): Link => ({ to: 'shade', family, shade: s, opacity: o ?? 0.5 })),
);
const links = (keys: fc.Arbitrary<string>) =>
  fc.dictionary(keys, link, { maxKeys: 3, noNullPrototype: true });
const growth = fc.constantFrom(
  USUAL_GROWTH,
  {
    ...USUAL_GROWTH,
    labels: ['light', 'mid', 'deep'],
    hueDrift: 20,
  },
  { kind: 'mix', towards: 'black', labels: ['50', '500', '950'], reach: 0.8 } as const,
  { kind: 'opacity', ground: '#fff', labels: ['a', 'b', 'c', 'd'], least: 0.1 } as const,
  { kind: 'contrast', ground: 'rgb(20 30 40)', labels: ['500', 'b', 'c'], ratios: [1.2, 3, 7] } as const,
);
const target = fc.constantFrom(
  { level: 'AA', content: 'body' } as const,
  { level: 'AAA', content: 'large' } as const,
);

/** Drops keys that are undefined, as JSON does. */
const record = <T>(shape: { [K in keyof T]: fc.Arbitrary<T[K]> }) =>
  fc.record(shape).map((value) => JSON.parse(JSON.stringify(value)) as T);
const of = (type: string, shape: Record<string, fc.Arbitrary<unknown>>) =>
  record({ type: fc.constant(type), ...shape }) as unknown as fc.Arbitrary<SimpleCommand>;

const SIMPLE = [
  of('renameProject', { name }),
  of('setGround', { role: fc.option(roleId) }),
  of('addTheme', { theme: record({ id: themeId, name }), index, links: links(roleId) }),
  of('removeTheme', { theme: themeId }),
  of('renameTheme', { theme: themeId, name }),
  of('moveTheme', { theme: themeId, index: fc.nat(4) }),
  of('addFamily', {
    family: record({ id: familyId, name, base: color, growth, handSet: fc.constant({}) }),
    index,
  }),
  of('removeFamily', { family: familyId }),
  of('renameFamily', { family: familyId, name }),
  of('moveFamily', { family: familyId, index: fc.nat(4) }),
  of('setBase', { family: familyId, color }),
  of('setGrowth', { family: familyId, growth }),
  of('setShade', { family: familyId, shade, color: fc.option(color) }),
  of('addRole', { role: record({ id: roleId, path, links: links(themeId) }), index }),
  of('removeRole', { role: roleId }),
  of('renameRole', { role: roleId, path }),
  of('renameRoleGroup', {
    from: fc.constantFrom('page', 'text', 'a'),
    to: fc.constantFrom('page', 'text', 'b/c'),
  }),
  of('moveRole', { role: roleId, index: fc.nat(6) }),
  of('setLink', { role: roleId, theme: themeId, link: fc.option(link) }),
  of('addPair', {
    pair: record({
      id: pairId,
      foreground: roleId,
      background: roleId,
      target,
      size: fc.constant(16),
      weight: fc.constant(400),
    }),
    index,
  }),
  of('removePair', { pair: pairId }),
  of('setPair', {
    pair: pairId,
    change: fc.constantFrom({ size: 24 }, { foreground: 'r1', weight: 700 }, { background: 'text-main' }),
  }),
  of('addGradient', {
    gradient: record({
      id: gradientId,
      name,
      kind: fc.constant('linear'),
      angle: fc.constant(90),
      space: fc.constant('oklab'),
      stops: fc.tuple(link, link).map(([a, b]) => [
        { id: 's1', position: 0, link: a },
        { id: 's2', position: 100, link: b },
      ]),
    }),
    index,
  }),
  of('removeGradient', { gradient: gradientId }),
  of('renameGradient', { gradient: gradientId, name }),
  of('setGradient', {
    gradient: gradientId,
    change: fc.constantFrom({ angle: 45 }, { space: 'srgb' }, { angle: 0, space: 'lab' }),
  }),
  of('addStop', { gradient: gradientId, stop: record({ id: stopId, position, link }), index }),
  of('removeStop', { gradient: gradientId, stop: stopId }),
  of('moveStop', { gradient: gradientId, stop: stopId, position, index }),
  of('linkStop', { gradient: gradientId, stop: stopId, link }),
  of('addSwatch', { swatch: record({ id: swatchId, name, color }), index }),
  of('removeSwatch', { swatch: swatchId }),
  of('renameSwatch', { swatch: swatchId, name }),
  of('moveSwatch', { swatch: swatchId, index: fc.nat(4) }),
  of('setSwatch', { swatch: swatchId, color }),
];
const simple = fc.oneof(...SIMPLE);
const batch: fc.Arbitrary<Command> = record({
  type: fc.constant('batch' as const),
  label: fc.constant('several things'),
  commands: fc.array(simple, { maxLength: 4 }),
}) as fc.Arbitrary<Command>;
const command = fc.oneof(
  { weight: 9, arbitrary: simple as fc.Arbitrary<Command> },
  { weight: 1, arbitrary: batch },
);

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value));

describe('commands', () => {
  it('hold over 10,000 random sequences: inverses restore exactly, schemas accept, refusals change nothing', () => {
    const applied = new Set<string>();
    fc.assert(
      fc.property(fc.array(command, { minLength: 1, maxLength: 8 }), (commands) => {
        const before = JSON.stringify(SMALL);
        let document = SMALL;
        const trail: { document: ProjectDocument; inverse: Command }[] = [];
        for (const next of commands) {
          const was = JSON.stringify(document);
          const result = applyCommand(document, next);
          expect(JSON.stringify(document)).toBe(was);
          if (!result.ok) {
            expect(result.reason).toMatch(/^[A-Z"a-z].+[.a-z]$/);
            continue;
          }
          applied.add(next.type);
          trail.push({ document, inverse: result.inverse });
          document = result.document;
          expect(documentSchema.validate(document).error).toBeUndefined();
          expect(commandSchema.validate(result.inverse).error).toBeUndefined();
        }
        for (const { document: was, inverse } of trail.reverse()) {
          // Through JSON, as the inverse of an edit may come from a log.
          const back = applyCommand(document, plain(inverse));
          if (!back.ok) throw new Error(`${inverse.type}: ${back.reason}`);
          expect(back.document).toEqual(was);
          document = back.document;
        }
        expect(JSON.stringify(SMALL)).toBe(before);
      }),
      { numRuns: 10_000 },
    );
    // Every kind of command was really among those that went through.
    expect(applied.size).toBe(SIMPLE.length + 1);
  });

  it('are all accepted by the schema, whether they fit or not', () => {
    fc.assert(
      fc.property(command, (next) => {
        const { error } = commandSchema.validate(next);
        if (error) throw new Error(`${JSON.stringify(next)}: ${error.message}`);
      }),
      { numRuns: 2000 },
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
    ['a family that is gone', { type: 'setBase', family: 'x', color: '#fff' }, /does not exist any more/],
    [
      'a name that is taken',
      { type: 'renameFamily', family: 'buoy', name: 'DEEPWATER' },
      /named "Deepwater" already/,
    ],
    ['a name without letters', { type: 'renameFamily', family: 'buoy', name: '…' }, /at least one letter/],
    [
      'a path that is taken',
      { type: 'renameRole', role: 'text-main', path: 'page/ground' },
      /role page\/ground already/,
    ],
    ['a path with a hole', { type: 'renameRole', role: 'text-main', path: 'text//main' }, /no role path/],
    [
      'a link to itself',
      { type: 'setLink', role: 'text-main', theme: 'day', link: { to: 'role', role: 'text-main' } },
      /point to itself/,
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
      /theme does not exist/,
    ],
  ];
  test.each(refusals)('refuse %s, with the reason', (_, next, reason) => {
    const result = applyCommand(SMALL, next);
    expect(!result.ok && result.reason).toMatch(reason);
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
    expect(!loop.ok && loop.reason).toMatch(/page\/raised would point to itself/);
  });

  it('keep stops in order of position when one is moved past another', () => {
    const result = applyCommand(SMALL, {
      type: 'moveStop',
      gradient: 'first-light',
      stop: 'night-sea',
      position: 90,
    });
    if (!result.ok) throw new Error(result.reason);
    expect(result.document.gradients[0]!.stops.map((s) => s.id)).toEqual([
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
    ['a key too many', { type: 'removeTheme', theme: 'day', also: 1 }],
    ['a name that is a number', { type: 'renameProject', name: 7 }],
    ['a control character', { type: 'renameProject', name: 'a\u0000b' }],
    ['half a character', { type: 'renameProject', name: '\ud800' }],
    ['an id that is a property of every object', { type: 'removeTheme', theme: 'constructor' }],
    [
      'a batch in a batch',
      { type: 'batch', label: 'x', commands: [{ type: 'batch', label: 'y', commands: [] }] },
    ],
    ['a position beyond the line', { type: 'moveStop', gradient: 'g', stop: 's', position: 101 }],
    ['a link to nothing known', { type: 'setLink', role: 'r', theme: 't', link: { to: 'moon' } }],
  ])('refuse %s', (_, value) => {
    expect(commandSchema.validate(value).error).toBeDefined();
  });

  it('accept the demo document and no other version', () => {
    expect(documentSchema.validate(SKERRY_LINE).error).toBeUndefined();
    expect(documentSchema.validate({ ...SKERRY_LINE, version: 2 }).error).toBeDefined();
  });
});
