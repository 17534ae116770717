import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import { command } from '../../document/commands/random-command.fixture.ts';
import { anyDocument } from '../../document/commands/random-document.fixture.ts';
import { SMALL } from '../../document/commands/small-documents.fixture.ts';
import { commandsBetween } from './commands-between.ts';
import { differencesBetween } from './differences.ts';
import { differingParts } from './differing-parts.ts';
import { restoredIn, withNeeds } from './restored.ts';

describe('what differs between two states', () => {
  it('is nothing between a state and itself', () => {
    const { columns, passing, ...rest } = differencesBetween(SKERRY_LINE, structuredClone(SKERRY_LINE));
    expect(columns.map(({ name }) => name)).toEqual(['Day sailing', 'Night sailing']);
    expect(passing.before).toEqual(passing.after);
    for (const [key, value] of Object.entries(rest)) expect([key, value || []]).toEqual([key, []]);
  });

  it('names a moved base and every cell that follows it, and the link that was changed', () => {
    const now = after(
      SKERRY_LINE,
      { type: 'setBase', family: 'deepwater', color: '#6b2147' },
      {
        type: 'setLink',
        role: 'text-quiet',
        theme: 'day',
        link: { to: 'shade', family: 'shingle', shade: '800' },
      },
    );
    const found = differencesBetween(SKERRY_LINE, now);
    expect(found.families).toEqual([
      {
        id: 'deepwater',
        name: 'Deepwater',
        change: 'changed',
        words: ['base'],
        before: '#0b5f6b',
        after: '#6b2147',
      },
    ]);
    const fill = found.roles.find(({ name }) => name === 'action.fill')!;
    expect(fill.itself).toBe(false);
    expect(fill.cells.map(({ theme, linked }) => [theme, linked])).toEqual([
      ['day', false],
      ['night', false],
    ]);
    const quiet = found.roles.find(({ name }) => name === 'text.quiet')!;
    expect(quiet.cells).toHaveLength(1);
    const [cell] = quiet.cells;
    expect(cell).toMatchObject({ theme: 'day', linked: true });
    expect([cell!.before!.words, cell!.after!.words]).toEqual(['Shingle 600', 'Shingle 800']);
    expect(cell!.after!.ratio!).toBeGreaterThan(cell!.before!.ratio!);
    // What is linked to neither is not among them.
    expect(found.roles.some(({ name }) => name === 'accent.fill')).toBe(false);
    expect([found.pairs, found.gradients, found.orders, found.lists]).toEqual([[], [], [], []]);
  });

  it('restored with everything that differs, is the earlier state; whatever lies between them', () => {
    fc.assert(
      fc.property(anyDocument, anyDocument, (then, now) => {
        const parts = differingParts(differencesBetween(then, now));
        const restored = restoredIn(now, then, withNeeds(now, then, parts));
        if (!isDeepStrictEqual(JSON.parse(JSON.stringify(restored)), JSON.parse(JSON.stringify(then))))
          throw new Error('It is another state.');
      }),
      { numRuns: runs(600) },
    );
  });

  it('restored in part with what it needs, is an edit that fits, makes just that, and is taken back', () => {
    let done = 0;
    const changes = fc.array(command, { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(changes, fc.infiniteStream(fc.boolean()), (commands, choices) => {
        let now = SMALL;
        for (const next of commands) {
          const result = applyCommand(now, next);
          if (result.ok) now = result.document;
        }
        const chosen = differingParts(differencesBetween(SMALL, now)).filter(() => choices.next().value);
        const parts = withNeeds(now, SMALL, chosen);
        const wanted = restoredIn(now, SMALL, parts);
        const edit = { type: 'batch', label: 'restore', commands: commandsBetween(now, wanted) } as const;
        const made = applyCommand(now, edit);
        // A name may belong to something else by now; that is told, and nothing is changed.
        if (!made.ok) {
          if (!/already|CSS name|circle|point to|follow|beneath the page|only theme/.test(made.reason))
            throw new Error(made.reason);
          return;
        }
        if (!isDeepStrictEqual(made.document, wanted)) throw new Error('The edit makes another document.');
        const back = applyCommand(made.document, made.inverse);
        if (!back.ok || !isDeepStrictEqual(back.document, now)) throw new Error('It is not taken back.');
        done += 1;
      }),
      { numRuns: runs(4000) },
    );
    expect(done).toBeGreaterThan(runs(4000) / 2);
  });

  it('takes along what a part needs', () => {
    const now = after(
      SKERRY_LINE,
      { type: 'removeFamily', family: 'buoy' },
      { type: 'setLink', role: 'accent-fill', theme: 'day', link: { to: 'color', color: '#123456' } },
    );
    const parts = withNeeds(now, SKERRY_LINE, [{ part: 'cell', id: 'accent-fill', theme: 'day' }]);
    expect(parts).toEqual([
      { part: 'cell', id: 'accent-fill', theme: 'day' },
      { part: 'family', id: 'buoy' },
    ]);
    expect(restoredIn(now, SKERRY_LINE, parts)).toEqual(SKERRY_LINE);
  });
});
