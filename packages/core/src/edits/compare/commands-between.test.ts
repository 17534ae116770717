import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import { command } from '../../document/commands/random-command.fixture.ts';
import { anyDocument } from '../../document/commands/random-document.fixture.ts';
import { SMALL } from '../../document/commands/small-documents.fixture.ts';
import type { ProjectDocument } from '../../document/document.ts';
import { commandsBetween } from './commands-between.ts';

/** Goes from one document to another by the commands between them, and back by the inverse. */
function goBetween(from: ProjectDocument, to: ProjectDocument): number {
  const commands = commandsBetween(from, to);
  const there = applyCommand(from, { type: 'batch', label: 'go', commands });
  if (!there.ok) throw new Error(there.reason);
  if (!isDeepStrictEqual(there.document, to)) throw new Error('The commands do not make the other document.');
  const back = applyCommand(there.document, there.inverse);
  if (!back.ok) throw new Error(back.reason);
  if (!isDeepStrictEqual(back.document, from)) throw new Error('The inverse does not restore.');
  return commands.length;
}

describe('the commands between two documents', () => {
  it('make one the other exactly, whatever lies between them, and are taken back exactly', () => {
    fc.assert(
      fc.property(anyDocument, anyDocument, (from, to) => {
        goBetween(from, to);
      }),
      { numRuns: runs(600) },
    );
  });

  it('are few where little was changed', () => {
    fc.assert(
      fc.property(fc.array(command, { minLength: 1, maxLength: 6 }), (commands) => {
        let document = SMALL;
        for (const next of commands) {
          const result = applyCommand(document, next);
          if (result.ok) document = result.document;
        }
        goBetween(document, SMALL);
      }),
      { numRuns: runs(3000) },
    );
    expect(goBetween(SKERRY_LINE, SKERRY_LINE)).toBe(0);
    const [first] = SKERRY_LINE.families;
    const moved = applyCommand(SKERRY_LINE, { type: 'setBase', family: first!.id, color: '#702040' });
    if (!moved.ok) throw new Error(moved.reason);
    expect(goBetween(moved.document, SKERRY_LINE)).toBe(2);
    // A link is set back by itself, so that what somebody else does to the role meanwhile stays.
    const linked = applyCommand(SKERRY_LINE, {
      type: 'setLink',
      role: 'text-quiet',
      theme: 'day',
      link: { to: 'role', role: 'text-main' },
    });
    if (!linked.ok) throw new Error(linked.reason);
    expect(commandsBetween(linked.document, SKERRY_LINE).map(({ type }) => type)).toEqual([
      'setLink',
      'setLink',
    ]);
    goBetween(linked.document, SKERRY_LINE);
    const renamed = applyCommand(SKERRY_LINE, { type: 'moveRole', role: SKERRY_LINE.roles[0]!.id, index: 9 });
    if (!renamed.ok) throw new Error(renamed.reason);
    // The ground of the page is let go and held again.
    expect(goBetween(renamed.document, SKERRY_LINE)).toBe(4);
  });

  it('change the names of themes about, and exchange all of them', () => {
    const [day, night] = SKERRY_LINE.themes;
    const swapped: ProjectDocument = {
      ...SKERRY_LINE,
      themes: [
        { id: night!.id, name: day!.name },
        { id: day!.id, name: night!.name },
      ],
    };
    goBetween(swapped, SKERRY_LINE);
    const others: ProjectDocument = {
      ...SKERRY_LINE,
      themes: [{ id: 'other', name: day!.name }],
      roles: SKERRY_LINE.roles.map((role) => ({
        ...role,
        links: role.links[day!.id] ? { other: role.links[day!.id]! } : {},
      })),
    };
    goBetween(others, SKERRY_LINE);
    goBetween(SKERRY_LINE, others);
  });
});
