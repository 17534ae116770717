import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { describe, expect, it, test } from 'vitest';
import { advanced, edited, opened, type ProjectState, projectReducer, stepDropped } from './project-slice.ts';
import { takenAlong } from './taken-along.ts';

const setBase = (color: string, family = 'buoy'): Command => ({ type: 'setBase', family, color });
const rename = (name: string): Command => ({ type: 'renameProject', name });

const begin = () =>
  projectReducer(
    null,
    opened({ id: 'p', access: 'owner', revision: 0, document: SKERRY_LINE, unsent: [], undo: [], redo: [] }),
  ) as ProjectState;

/** An edit of one's own, which the server has at once. */
function own(state: ProjectState, command: Command, as: 'edit' | 'undo' = 'edit'): ProjectState {
  const result = applyCommand(state.document, command);
  if (!result.ok) throw new Error(result.reason);
  const id = `own ${state.revision}`;
  const back = { command: result.inverse, label: command.type };
  const commands = [{ id, command }];
  const made = projectReducer(
    state,
    edited({ commands, document: result.document, as, back }),
  ) as ProjectState;
  return arrive(made, id, command);
}
function arrive(state: ProjectState, id: string, command: Command): ProjectState {
  const revision = state.revision + 1;
  const entries = [{ id, revision, command }];
  return projectReducer(
    state,
    advanced({ access: 'owner', revision, news: { kind: 'entries', entries }, settled: [] }),
  ) as ProjectState;
}
const theirs = (state: ProjectState, command: Command) => arrive(state, `theirs ${state.revision}`, command);
const undoTakes = ({ undo, between }: ProjectState) => takenAlong(undo.at(-1)!, between);

describe('what undo would take along of what others did', () => {
  it('is nothing where nobody did anything, or something else', () => {
    expect(undoTakes(own(begin(), setBase('#111111')))).toEqual([]);
    const other = theirs(own(begin(), setBase('#111111')), setBase('#222222', 'kelp'));
    expect(undoTakes(other)).toEqual([]);
    const link: Command = {
      type: 'setLink',
      role: 'text-main',
      theme: 'day',
      link: { to: 'shade', family: 'buoy', shade: '900' },
    };
    expect(undoTakes(theirs(own(begin(), setBase('#111111')), link))).toEqual([]);
  });

  test.each<[string, Command, Command, RegExp]>([
    ['the same base', setBase('#111111'), setBase('#222222'), /base of Buoy/],
    ['the same name', rename('A'), rename('B'), /name|B/],
    [
      'a shade of a family that undo removes',
      {
        type: 'addFamily',
        family: { ...SKERRY_LINE.families[1]!, id: 'new', name: 'New' },
      },
      setBase('#333333', 'new'),
      /base of New/,
    ],
  ])('is told: %s', (_name, mine, other, words) => {
    const taken = undoTakes(theirs(own(begin(), mine), other));
    expect(taken).toEqual([expect.stringMatching(words)]);
  });

  it('names those alone that go, and not what stands apart', () => {
    let state = own(begin(), setBase('#111111'));
    state = theirs(state, setBase('#444444', 'kelp'));
    state = theirs(state, setBase('#222222'));
    expect(undoTakes(state)).toEqual([expect.stringContaining('Buoy')]);
  });

  it('is not what was there before the step', () => {
    const state = own(theirs(begin(), setBase('#222222')), setBase('#111111'));
    expect(undoTakes(state)).toEqual([]);
  });

  it('is held against the steps below one that was left as it is', () => {
    let state = own(own(begin(), setBase('#101010', 'kelp')), setBase('#111111'));
    state = theirs(state, setBase('#222222'));
    expect(undoTakes(state)).toHaveLength(1);
    state = projectReducer(state, stepDropped('undo')) as ProjectState;
    expect(state.undo).toHaveLength(1);
    expect(undoTakes(state)).toEqual([]);
    const after = own(state, state.undo.at(-1)!.command, 'undo');
    expect(after.document.families.slice(1, 3).map(({ base }) => base)).toEqual([
      '#222222',
      SKERRY_LINE.families[2]!.base,
    ]);
  });

  it('is not known where the news came as a whole document, and that is said', () => {
    const state = own(begin(), setBase('#111111'));
    const news = { kind: 'document', document: { ...state.document, name: 'Far' } } as const;
    const far = projectReducer(
      state,
      advanced({ access: 'owner', revision: 90, news, settled: [] }),
    ) as ProjectState;
    expect(undoTakes(far)).toEqual(['many edits at once']);
    // One's own large edit may be answered so, too.
    const alone = projectReducer(
      { ...state, unsent: [{ id: 'x', command: rename('Far') }] },
      advanced({ access: 'owner', revision: state.revision + 1, news, settled: ['x'] }),
    ) as ProjectState;
    expect(undoTakes(alone)).toEqual([]);
  });
});
