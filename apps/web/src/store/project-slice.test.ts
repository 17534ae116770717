import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { LoggedCommand } from '@mint-lamp/core/wire/projects';
import { describe, expect, it } from 'vitest';
import {
  advanced,
  edited,
  opened,
  type ProjectState,
  previewed,
  projectReducer,
  stepDropped,
} from './project-slice.ts';

const setBase = (color: string, family = 'buoy'): Command => ({ type: 'setBase', family, color });
const told = (entries: readonly LoggedCommand[], settled: readonly string[] = []) =>
  advanced({
    access: 'owner',
    revision: entries.at(-1)?.revision ?? 3,
    news: { kind: 'entries', entries },
    settled,
  });
const baseOf = (state: ProjectState, family = 'buoy') =>
  state.document.families.find((f) => f.id === family)?.base;

function open(unsent: { id: string; command: Command }[] = []): ProjectState {
  const payload = {
    id: 'p',
    access: 'owner' as const,
    revision: 3,
    document: SKERRY_LINE,
    unsent,
    undo: [],
    redo: [],
  };
  return projectReducer(null, opened(payload)) as ProjectState;
}

function edit(
  state: ProjectState,
  id: string,
  command: Command,
  as: 'edit' | 'undo' | 'redo' = 'edit',
): ProjectState {
  const result = applyCommand(state.document, command);
  if (!result.ok) throw new Error(result.reason);
  const back = { command: result.inverse, label: id };
  return projectReducer(
    state,
    edited({ commands: [{ id, command }], document: result.document, as, back }),
  ) as ProjectState;
}

describe('the open project', () => {
  it('shows what is unsent on top of what the server has', () => {
    const state = open([{ id: 'a', command: setBase('#111111') }]);
    expect(baseOf(state)).toBe('#111111');
    expect(state.confirmed).toBe(SKERRY_LINE);
    expect(state.saving).toBe('waiting');
    expect(open().saving).toBe('idle');
  });

  it('shows a gesture without making it, and forgets it without a trace', () => {
    const state = open();
    const result = applyCommand(state.document, setBase('#222222'));
    if (!result.ok) throw new Error(result.reason);
    const during = projectReducer(
      state,
      previewed({ command: setBase('#222222'), document: result.document }),
    ) as ProjectState;
    expect(during.shown).toBe(result.document);
    expect(during.document).toBe(state.document);
    const after = projectReducer(during, previewed(null)) as ProjectState;
    expect(after.shown).toBe(state.document);
    expect(after.unsent).toEqual([]);
  });

  it('is confirmed by its own commands without a change to what is shown', () => {
    const state = edit(edit(open(), 'a', setBase('#111111')), 'b', setBase('#222222'));
    const entries = [{ id: 'a', revision: 4, command: setBase('#111111') }];
    const next = projectReducer(state, told(entries)) as ProjectState;
    expect(next.document).toBe(state.document);
    expect(next.unsent.map(({ id }) => id)).toEqual(['b']);
    expect(next.revision).toBe(4);
    expect(next.confirmed.families[1]?.base).toBe('#111111');
  });

  it('takes in what others did beneath its own unsent edits', () => {
    const state = edit(open(), 'mine', setBase('#111111'));
    const entries = [{ id: 'theirs', revision: 4, command: setBase('#999999', 'kelp') }];
    const next = projectReducer(state, told(entries)) as ProjectState;
    expect(baseOf(next, 'kelp')).toBe('#999999');
    expect(baseOf(next)).toBe('#111111');
    expect(next.unsent).toHaveLength(1);
  });

  it('drops a refused edit and what it did', () => {
    const state = edit(edit(open(), 'bad', setBase('#111111')), 'good', setBase('#333333', 'kelp'));
    const next = projectReducer(state, told([], ['bad'])) as ProjectState;
    expect(baseOf(next)).toBe('#e2552b');
    expect(baseOf(next, 'kelp')).toBe('#333333');
  });

  it('goes on with a gesture upon what others do meanwhile, and ends it with the reason where it cannot', () => {
    const drag = (state: ProjectState, command: Command) => {
      const result = applyCommand(state.document, command);
      if (!result.ok) throw new Error(result.reason);
      return projectReducer(state, previewed({ command, document: result.document })) as ProjectState;
    };
    const during = drag(open(), setBase('#222222'));
    const other = told([{ id: 'x', revision: 4, command: setBase('#999999', 'kelp') }]);
    const on = projectReducer(during, other) as ProjectState;
    expect(on.shown.families.slice(1, 3).map(({ base }) => base)).toEqual(['#222222', '#999999']);
    expect([baseOf(on), on.interrupted]).toEqual(['#e2552b', null]);
    const removed = told([{ id: 'y', revision: 5, command: { type: 'removeFamily', family: 'buoy' } }]);
    const ended = projectReducer(on, removed) as ProjectState;
    expect(ended.shown).toBe(ended.document);
    expect([ended.gesture, ended.interrupted]).toEqual([null, expect.stringMatching(/family/)]);
    // It is told once.
    expect((projectReducer(ended, previewed(null)) as ProjectState).interrupted).toBeNull();
  });

  it('ignores entries that it has had already', () => {
    const entries = [{ id: 'old', revision: 2, command: setBase('#999999') }];
    const next = projectReducer(open(), told(entries)) as ProjectState;
    expect(baseOf(next)).toBe('#e2552b');
    expect(next.revision).toBe(3);
  });

  it('takes the whole document where that is what it is told, with its own unsent edits on top', () => {
    const state = edit(open(), 'mine', setBase('#111111'));
    const document = { ...SKERRY_LINE, name: 'Far ahead' };
    const news = { kind: 'document', document } as const;
    const next = projectReducer(
      state,
      advanced({ access: 'owner', revision: 9000, news, settled: [] }),
    ) as ProjectState;
    expect(next).toMatchObject({ revision: 9000, confirmed: document, document: { name: 'Far ahead' } });
    expect(baseOf(next)).toBe('#111111');
    const late = advanced({
      access: 'owner',
      revision: 8000,
      news: { kind: 'document', document: SKERRY_LINE },
      settled: [],
    });
    expect((projectReducer(next, late) as ProjectState).confirmed).toBe(document);
  });

  it('moves steps between the undo and redo lists, and an edit empties redo', () => {
    const once = edit(open(), 'a', setBase('#111111'));
    expect(once.undo).toHaveLength(1);
    const undone = edit(once, 'b', once.undo[0]!.command, 'undo');
    expect(baseOf(undone)).toBe('#e2552b');
    expect([undone.undo.length, undone.redo.length]).toEqual([0, 1]);
    const redone = edit(undone, 'c', undone.redo[0]!.command, 'redo');
    expect(baseOf(redone)).toBe('#111111');
    expect([redone.undo.length, redone.redo.length]).toEqual([1, 0]);
    expect(edit(undone, 'd', setBase('#444444')).redo).toEqual([]);
    expect((projectReducer(undone, stepDropped('redo')) as ProjectState).redo).toEqual([]);
  });
});
