import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import type { Command } from '@mint-lamp/core/document/commands/command';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import { afterEach, beforeEach, describe, expect, it, test, vi } from 'vitest';
import { step as stepBy, tryEdit } from '../store/editing.ts';
import { keepHistory, recallHistory } from '../store/history-memory.ts';
import { type HistoryStep, opened } from '../store/project-slice.ts';
import { type AppStore, createStore } from '../store/store.ts';
import { MemoryStorage } from './memory-storage.fixture.ts';
import { countSetAside, letGoOfSetAside, listSetAside, tryAgain, watchSetAside } from './set-aside.ts';
import {
  forgetUnsent,
  keptByPageAlone,
  readUnsent,
  rememberUnsent,
  setAsideUnsent,
  waitingProjects,
} from './unsent.ts';

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

  it('of earlier versions are migrated', async () => {
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

  it('are kept by the page alone where storage is forbidden, and nothing breaks', async () => {
    const forbidden = () => {
      throw new DOMException('no', 'SecurityError');
    };
    const asked = vi.fn();
    const unasked = vi.fn();
    vi.stubGlobal('addEventListener', asked);
    vi.stubGlobal('removeEventListener', unasked);
    for (const storage of [{ getItem: forbidden, setItem: forbidden, removeItem: forbidden }, null]) {
      asked.mockClear();
      vi.stubGlobal('localStorage', storage);
      expect(rememberUnsent('p', { id: 'a', command: rename })).toBe(false);
      expect(keptByPageAlone('p')).toBe(1);
      // Closing the page is asked about for as long as something would be lost with it.
      expect(asked).toHaveBeenCalledWith('beforeunload', expect.any(Function));
      expect((await readUnsent('p')).commands).toEqual([{ id: 'a', command: rename }]);
      forgetUnsent('p', 'a');
      expect(unasked).toHaveBeenLastCalledWith('beforeunload', asked.mock.lastCall?.[1]);
      expect([keptByPageAlone('p'), await readUnsent('p')]).toEqual([0, { commands: [], setAside: [] }]);
    }
  });

  it('move into the storage when it has room again, in their order', async () => {
    vi.stubGlobal('localStorage', new MemoryStorage(220));
    const taken = ['a', 'b', 'c', 'd'].map((id) => rememberUnsent('p', { id, command: rename }));
    const kept = taken.filter(Boolean).length;
    expect([taken[0], taken[3]]).toEqual([true, false]);
    expect(keptByPageAlone('p')).toBe(4 - kept);
    forgetUnsent('p', 'a');
    expect(keptByPageAlone('p')).toBe(3 - kept);
    expect((await readUnsent('p')).commands.map(({ id }) => id)).toEqual(['b', 'c', 'd']);
    for (const id of ['b', 'c', 'd']) forgetUnsent('p', id);
  });

  it('that cannot be read are not lost where the storage is full', async () => {
    const text = `{"type":"${'x'.repeat(300)}"}`;
    put('1', text);
    const full = localStorage as unknown as { room: number };
    full.room = Object.keys(localStorage).reduce(
      (sum, key) => sum + key.length + (localStorage.getItem(key)?.length ?? 0),
      0,
    );
    expect((await readUnsent('p')).setAside).toHaveLength(1);
    const all = Object.keys(localStorage).map((key) => localStorage.getItem(key));
    expect(all).toEqual([text]);
  });
});

describe('edits set aside', () => {
  it('are listed by name, tried again, and let go', async () => {
    put('1', '{"type":"paintMoon","moon":{"name":"Full"}}');
    put('2', JSON.stringify({ form: DOCUMENT_VERSION, command: rename }));
    await readUnsent('p');
    setAsideUnsent('p', 'id-2');
    const told: unknown[] = [];
    const unwatch = watchSetAside((...what) => told.push(what));
    const listed = await listSetAside();
    expect(listed.map(({ name, projectId }) => [name, projectId])).toEqual([
      ['paintMoon Full', 'p'],
      ['renameProject New', 'p'],
    ]);
    expect(countSetAside('p')).toBe(2);
    tryAgain(listed[1]!);
    letGoOfSetAside(listed[0]!);
    expect(told).toEqual([
      ['p', 'id-2'],
      ['p', null],
    ]);
    unwatch();
    expect(countSetAside('p')).toBe(0);
    expect((await readUnsent('p')).commands).toEqual([{ id: 'id-2', command: rename }]);
    expect(Object.keys(localStorage)).toHaveLength(1);
  });
});

describe('the history of a tab', () => {
  const step = (name: string): HistoryStep => ({ command: { type: 'renameProject', name }, label: name });
  const begin = (undo: HistoryStep[] = []) => {
    const store = createStore({ saving: false });
    store.dispatch(
      opened({ id: 'p', access: 'owner', revision: 5, document: SKERRY_LINE, unsent: [], undo, redo: [] }),
    );
    return store;
  };
  const rename = (store: AppStore, name: string) => store.dispatch(tryEdit({ type: 'renameProject', name }));
  const now = (store: AppStore) => {
    const { revision, unsent } = store.getState().project!;
    return { revision, unsent };
  };

  it('is there after a tab that ended unawares, as it was at the last edit', async () => {
    const store = begin();
    const stop = keepHistory(store);
    rename(store, 'One');
    rename(store, 'Two');
    store.dispatch(stepBy('undo'));
    rename(store, 'Three');
    store.dispatch(stepBy('undo'));
    const found = await recallHistory('p', now(store));
    expect(found.undo.map(({ command }) => command)).toEqual([
      { type: 'renameProject', name: 'Skerry Line' },
    ]);
    expect(found.redo.map(({ command }) => command)).toEqual([{ type: 'renameProject', name: 'Three' }]);
    // What was on its way has arrived since, all of it or some.
    const { revision, unsent } = now(store);
    const arrived = { revision: revision + unsent.length, unsent: [] };
    expect((await recallHistory('p', arrived)).undo).toHaveLength(1);
    expect((await recallHistory('p', { revision: revision + 1, unsent: unsent.slice(1) })).undo).toHaveLength(
      1,
    );
    stop();
  });

  it('is none when the project is in another state than it was of', async () => {
    const store = begin();
    keepHistory(store);
    rename(store, 'One');
    const { revision, unsent } = now(store);
    for (const other of [
      { revision: revision + 2, unsent: [] },
      { revision: revision + 1, unsent },
      { revision, unsent: [] },
      { revision: 0, unsent: [] },
    ])
      expect(await recallHistory('p', other)).toEqual({ undo: [], redo: [] });
  });

  it('keeps no steps that are not listed any more', () => {
    const store = begin();
    keepHistory(store);
    for (const name of ['One', 'Two', 'Three']) rename(store, name);
    for (let i = 0; i < 3; i++) store.dispatch(stepBy('undo'));
    rename(store, 'Four');
    expect(Object.keys(sessionStorage)).toHaveLength(2);
    store.dispatch(stepBy('undo'));
    rename(store, 'Five');
    expect(Object.keys(sessionStorage)).toHaveLength(2);
  });

  it('is cut where a step cannot be read or does not fit', async () => {
    const listed = { form: DOCUMENT_VERSION, revision: 5, unsent: [], undo: [1, 2, 3], redo: [9] };
    sessionStorage.setItem('mint-lamp/history/p', JSON.stringify(listed));
    const keep = (n: number, value: object) =>
      sessionStorage.setItem(`mint-lamp/history/p/${n}`, JSON.stringify(value));
    keep(1, step('lost'));
    keep(2, { command: { type: 'paintMoon' }, label: 'moon' });
    keep(3, step('kept'));
    const { undo, redo } = await recallHistory('p', { revision: 5, unsent: [] });
    expect([undo, redo]).toEqual([[step('kept')], []]);
    const unfit: HistoryStep = { command: { type: 'removeFamily', family: 'gone' }, label: 'x' };
    const opened = begin([step('lost'), unfit, step('kept')]).getState().project!;
    expect(opened.undo.map(({ label }) => label)).toEqual(['kept']);
  });

  test.each([['nonsense'], ['null'], ['{"undo":7,"redo":[]}'], [JSON.stringify(SKERRY_LINE)]])(
    'that cannot be read is none: %.20s',
    async (text) => {
      sessionStorage.setItem('mint-lamp/history/p', text);
      expect(await recallHistory('p', { revision: 5, unsent: [] })).toEqual({ undo: [], redo: [] });
    },
  );
});
