import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { Command } from '@mint-lamp/core/system/commands/command';
import { DOCUMENT_VERSION } from '@mint-lamp/core/system/document';
import { afterEach, beforeEach, describe, expect, it, test, vi } from 'vitest';
import { recallHistory } from './history-memory.ts';
import { MemoryStorage } from './memory-storage.fixture.ts';
import { forgetUnsent, readUnsent, rememberUnsent, waitingProjects } from './unsent.ts';

beforeEach(() => {
  vi.stubGlobal('localStorage', new MemoryStorage());
  vi.stubGlobal('sessionStorage', new MemoryStorage());
});
afterEach(() => vi.unstubAllGlobals());

const put = (order: string, text: string) =>
  localStorage.setItem(`mint-lamp/unsent/p/${order}/id-${order}`, text);
const rename: Command = { type: 'renameProject', name: 'New' };

describe('unsent commands', () => {
  it('are kept in order until they are forgotten', async () => {
    for (const id of ['a', 'b', 'c']) expect(rememberUnsent('p', { id, command: rename })).toBe(true);
    forgetUnsent('p', 'b');
    expect((await readUnsent('p')).commands.map(({ id }) => id)).toEqual(['a', 'c']);
    expect(waitingProjects()).toMatchObject([{ projectId: 'p', edits: 2 }]);
  });

  it('of earlier forms are brought along', async () => {
    put('1', JSON.stringify({ type: 'renameRole', role: 'r', path: 'notice/delay/ground' }));
    put(
      '2',
      JSON.stringify({ form: 1, command: { type: 'moveStop', gradient: 'g', stop: 's', position: 40 } }),
    );
    put('3', JSON.stringify({ form: DOCUMENT_VERSION, command: rename }));
    const { commands, setAside } = await readUnsent('p');
    expect(commands.map(({ command }) => command)).toEqual([
      { type: 'renameRole', role: 'r', group: ['notice', 'delay'], name: 'ground' },
      { type: 'moveStop', gradient: 'g', stop: 's', places: [{ value: 40, unit: '%' }] },
      rename,
    ]);
    expect(setAside).toEqual([]);
  });

  test.each([
    ['{"type":', 'an edit that cannot be read'],
    ['null', 'an edit that cannot be read'],
    ['7', 'an edit that cannot be read'],
    ['{"type":"constructor"}', 'constructor'],
    ['{"type":"paintMoon","moon":{"name":"Full"}}', 'paintMoon Full'],
    ['{"type":"setBase","family":"buoy","color":"#CFF00"}', 'setBase'],
    [
      JSON.stringify({ form: DOCUMENT_VERSION + 1, command: { type: 'addMood', name: 'Calm' } }),
      'addMood Calm',
    ],
  ])('that cannot be read are set aside by name, and the others are not held up: %s', async (text, name) => {
    put('1', text);
    put('2', JSON.stringify(rename));
    const { commands, setAside } = await readUnsent('p');
    expect(commands.map(({ command }) => command)).toEqual([rename]);
    expect(setAside).toEqual([name]);
    expect(localStorage.getItem('mint-lamp/set-aside/p/1/id-1')).toBe(text);
    expect((await readUnsent('p')).setAside).toEqual([]);
  });

  it('cannot be kept where storage is forbidden, and nothing breaks', async () => {
    const forbidden = () => {
      throw new DOMException('no', 'SecurityError');
    };
    vi.stubGlobal('localStorage', { getItem: forbidden, setItem: forbidden, removeItem: forbidden });
    expect(rememberUnsent('p', { id: 'a', command: rename })).toBe(false);
    forgetUnsent('p', 'a');
    expect(await readUnsent('p')).toEqual({ commands: [], setAside: [] });
  });
});

describe('the history of a tab', () => {
  const keep = (history: object) => sessionStorage.setItem('mint-lamp/history/p', JSON.stringify(history));
  const stepTo = (name: string) => ({ command: { type: 'renameProject', name }, label: name });

  it('of an earlier form is brought along, and cut where a step cannot be read', async () => {
    keep({
      undo: [stepTo('lost'), { command: { type: 'paintMoon' }, label: 'moon' }, stepTo('kept')],
      redo: [{ command: { type: 'renameRole', role: 'r', path: 'a/b' }, label: 'rename' }],
    });
    const { undo, redo } = await recallHistory('p');
    expect(undo).toEqual([stepTo('kept')]);
    expect(redo[0]!.command).toEqual({ type: 'renameRole', role: 'r', group: ['a'], name: 'b' });
  });

  test.each([['nonsense'], ['null'], ['{"undo":7,"redo":[]}'], [JSON.stringify(SKERRY_LINE)]])(
    'that cannot be read is none: %.20s',
    async (text) => {
      sessionStorage.setItem('mint-lamp/history/p', text);
      expect(await recallHistory('p')).toEqual({ undo: [], redo: [] });
    },
  );
});
