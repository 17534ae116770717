import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { applyCommand } from '@mint-lamp/core/document/commands/apply';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { DOCUMENT_VERSION } from '@mint-lamp/core/document/version';
import type { LoggedCommand } from '@mint-lamp/core/wire/projects';
import { SCHEMA_VERSION_HEADER } from '@mint-lamp/core/wire/schema-version';
import { toast } from 'sonner';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { MemoryStorage } from '../storing/memory-storage.fixture.ts';
import { listSetAside, tryAgain } from '../storing/set-aside.ts';
import { keptByPageAlone, rememberUnsent } from '../storing/unsent.ts';
import { deliverWaiting } from './deliver-waiting.ts';
import { edit, preview, step } from './editing.ts';
import { themeChosen } from './interface-slice.ts';
import { closed, opened } from './project-slice.ts';
import { type AppStore, createStore } from './store.ts';
import { whenSaved } from './when-saved.ts';

vi.mock('sonner', () => ({ toast: Object.assign(vi.fn(), { error: vi.fn(), warning: vi.fn() }) }));
const messages = vi.mocked(toast.error);

/** A server that can be away, for tests of saving. */
const answer = (body: object, status = 200) =>
  Response.json(body, { status, headers: { [SCHEMA_VERSION_HEADER]: String(DOCUMENT_VERSION) } });

class FakeServer {
  document: ProjectDocument = SKERRY_LINE;
  log: LoggedCommand[] = [];
  away = false;
  loseAnswers = 0;
  /** Why commands that no longer fit are refused, if they are. */
  unfit: ((command: { type: string }) => string | null) | null = null;
  newer = false;
  removed = false;
  /** Refuses whole requests: a status with a code, for as long as it says so. */
  refuse: ((commands: { command: { color?: string } }[]) => [number, string] | null) | null = null;
  requests = 0;

  answer = async (address: string, init?: RequestInit): Promise<Response> => {
    this.requests++;
    if (this.away) throw new TypeError('Failed to fetch');
    if (this.newer) return answer({ error: { code: 'PAGE_OUTDATED', message: 'Load anew.', path: '' } }, 503);
    if (this.removed) return answer({ error: { code: 'NOT_FOUND', message: 'Gone.', path: '' } }, 404);
    if (address.endsWith('/p'))
      return answer({ id: 'p', access: 'owner', revision: this.log.length, document: this.document });
    if (!address.endsWith('/commands')) {
      const after = Number(new URL(address, 'http://x').searchParams.get('after'));
      return answer({ access: 'owner', revision: this.log.length, news: this.newsAfter(after) });
    }
    const { revision, commands } = JSON.parse(String(init?.body));
    const refusal = this.refuse?.(commands);
    if (refusal) return answer({ error: { code: refusal[1], message: 'No.', path: 'body' } }, refusal[0]);
    const outcomes = [];
    for (const { id, command } of commands) {
      const known = this.log.find((entry) => entry.id === id);
      if (known) {
        outcomes.push({ id, status: 'known', revision: known.revision });
        continue;
      }
      const reason = this.unfit?.(command);
      if (reason) {
        outcomes.push({ id, status: 'refused', reason });
        continue;
      }
      const result = applyCommand(this.document, command);
      if (!result.ok) throw new Error(result.reason);
      this.document = result.document;
      this.log.push({ id, command, revision: this.log.length + 1 });
      outcomes.push({ id, status: 'applied', revision: this.log.length });
    }
    // The work is done, but the answer does not arrive.
    if (this.loseAnswers-- > 0) throw new TypeError('Failed to fetch');
    const news = this.newsAfter(revision);
    return answer({ access: 'owner', revision: this.log.length, outcomes, news });
  };

  private newsAfter(revision: number) {
    return { kind: 'entries', entries: this.log.filter((entry) => entry.revision > revision) };
  }
}

let server: FakeServer;
let store: AppStore;
let stop: () => void;
let listeners: Map<string, (event: object) => void>;
let events: { onmessage?: (event: { data: string }) => void };

beforeEach(() => {
  vi.useFakeTimers();
  server = new FakeServer();
  events = {};
  vi.stubGlobal('localStorage', new MemoryStorage());
  vi.stubGlobal('fetch', server.answer);
  listeners = new Map();
  vi.stubGlobal('addEventListener', (type: string, listener: () => void) => listeners.set(type, listener));
  vi.stubGlobal('removeEventListener', () => {});
  const source = class {
    static readonly CLOSED = 2;
    readyState = 1;
    constructor() {
      events = this as typeof events;
    }
    close() {}
  };
  vi.stubGlobal('EventSource', source);
  store = createStore();
  store.dispatch(
    opened({ id: 'p', access: 'owner', revision: 0, document: SKERRY_LINE, unsent: [], undo: [], redo: [] }),
  );
  stop = () => void store.dispatch(closed());
});
afterEach(() => {
  stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const setBase = (color: string) => store.dispatch(edit({ type: 'setBase', family: 'buoy', color }));
const state = () => store.getState().project!;
const kept = () => Object.keys(localStorage).filter((key) => key.startsWith('mint-lamp/unsent/p/'));
const settle = (ms = 20_000) => vi.advanceTimersByTimeAsync(ms);

describe('saving', () => {
  it('sends edits in order and forgets them when they are confirmed', async () => {
    setBase('#111111');
    setBase('#222222');
    expect(kept()).toHaveLength(2);
    await settle();
    expect(server.log.map((entry) => (entry.command as { color: string }).color)).toEqual([
      '#111111',
      '#222222',
    ]);
    expect(state()).toMatchObject({ saving: 'idle', unsent: [], revision: 2 });
    expect(kept()).toEqual([]);
  });

  it('keeps edits while the server is away, says so, and sends them once when it is back', async () => {
    server.away = true;
    setBase('#111111');
    await settle(1000);
    expect(state().saving).toBe('away');
    setBase('#222222');
    await settle();
    expect(kept()).toHaveLength(2);
    server.away = false;
    await settle();
    expect(server.log).toHaveLength(2);
    expect(state().saving).toBe('idle');
  });

  it('sends again when the answer is lost, and the server applies it once', async () => {
    server.loseAnswers = 2;
    setBase('#111111');
    await settle();
    expect(server.log).toHaveLength(1);
    expect(state()).toMatchObject({ saving: 'idle', unsent: [] });
  });

  it('drops a refused edit and goes on with the others', async () => {
    server.unfit = () => 'It no longer fits.';
    setBase('#111111');
    await settle();
    server.unfit = null;
    store.dispatch(edit({ type: 'setBase', family: 'kelp', color: '#333333' }));
    await settle();
    expect(
      state()
        .document.families.map((family) => family.base)
        .slice(1, 3),
    ).toEqual(['#e2552b', '#333333']);
    expect(kept()).toEqual([]);
  });

  it('waits longer and longer between tries, and not at all when there is nothing to send', async () => {
    await settle(60_000);
    expect(server.requests).toBe(0);
    server.away = true;
    setBase('#111111');
    await settle(60_000);
    expect(server.requests).toBeGreaterThan(10);
    expect(server.requests).toBeLessThan(25);
  });

  it('takes in what others did when the server tells of it', async () => {
    server.log.push({
      id: 'theirs',
      revision: 1,
      command: { type: 'setBase', family: 'kelp', color: '#999999' },
    });
    events.onmessage?.({ data: '{"revision":1}' });
    await settle();
    expect(state().document.families[2]?.base).toBe('#999999');
    expect(state().revision).toBe(1);
  });

  it('leaves what a closed tab could not send to the page of all projects, which sends it in order', async () => {
    server.away = true;
    setBase('#111111');
    setBase('#222222');
    await settle(1000);
    stop();
    await expect(deliverWaiting(['p'])).rejects.toThrow('does not answer');
    server.away = false;
    expect(await deliverWaiting(['another'])).toBe(false);
    expect(kept()).toHaveLength(2);
    expect(await deliverWaiting(['p', 'another'])).toBe(true);
    expect(server.log.map(({ command }) => (command as { color: string }).color)).toEqual([
      '#111111',
      '#222222',
    ]);
    expect(kept()).toEqual([]);
    expect(await deliverWaiting(['p'])).toBe(false);
  });

  const colors = ['#111111', '#222222', '#333333', '#444444', '#555555'];
  const sentColors = () => server.log.map(({ command }) => (command as { color: string }).color);

  it('fetches the document again when an entry of the log does not apply here, or is of no known type', async () => {
    for (const strange of [
      { type: 'renameFamily', family: 'gone', name: 'x' },
      { type: 'paintMoon', moon: 'full' },
    ]) {
      setBase('#111111');
      await settle();
      server.document = { ...server.document, name: strange.type };
      server.log.push({ id: strange.type, revision: server.log.length + 1, command: strange as never });
      events.onmessage?.({ data: `{"revision":${server.log.length}}` });
      await settle();
      expect(state()).toMatchObject({ saving: 'idle', drifted: false, revision: server.log.length });
      expect(state().document.name).toBe(strange.type);
      expect(state().undo.length).toBeGreaterThan(0);
    }
  });

  it('sends smaller parts when a request is too large, and loses nothing', async () => {
    server.refuse = (commands) => (commands.length > 1 ? [413, 'TOO_LARGE'] : null);
    for (const color of colors) setBase(color);
    await settle();
    expect(sentColors()).toEqual(colors);
    expect(state()).toMatchObject({ saving: 'idle', unsent: [] });
  });

  it('sets a command aside that alone is too large, saves the others, and sends it when it is tried again', async () => {
    let most = 1;
    const isLarge = ({ command }: { command: { color?: string } }) => command.color === '#333333';
    server.refuse = (commands) => (most && commands.some(isLarge) ? [413, 'TOO_LARGE'] : null);
    for (const color of colors) setBase(color);
    messages.mockClear();
    await settle(60_000);
    expect(sentColors()).toEqual(colors.filter((color) => color !== '#333333'));
    expect(messages.mock.lastCall?.[0]).toMatch(/larger than the server takes.*base of Buoy/);
    expect(kept()).toEqual([]);
    const [aside] = await listSetAside();
    most = 0;
    tryAgain(aside!);
    await settle();
    expect(sentColors().at(-1)).toBe('#333333');
    expect(await listSetAside()).toEqual([]);
    expect(state()).toMatchObject({ saving: 'idle', unsent: [] });
  });

  it('takes a batch of more than a request holds apart, and back as one', async () => {
    const sizes: number[] = [];
    const { answer: usual } = server;
    vi.stubGlobal('fetch', (address: string, init?: RequestInit) => {
      sizes.push(String(init?.body ?? '').length);
      return usual(address, init);
    });
    const before = state().document;
    const stops = Array.from({ length: 64 }, (_, i) => ({
      id: `s${i}`,
      link: { to: 'color' as const, color: '#123456', opacity: 1 },
      places: [{ value: (i / 63) * 100, unit: '%' as const }],
    }));
    const commands = Array.from({ length: 300 }, (_, i) => ({
      type: 'addGradient' as const,
      gradient: { ...before.gradients[0]!, id: `g${i}`, name: `G ${i}`, stops },
    })) as never[];
    expect(store.dispatch(edit({ type: 'batch', label: 'restore', commands }))).toBe(true);
    expect(state().undo).toHaveLength(1);
    await settle();
    expect(Math.max(...sizes)).toBeLessThan(2 * 1024 * 1024);
    expect(sizes.reduce((sum, size) => sum + size, 0)).toBeGreaterThan(2 * 1024 * 1024);
    expect(server.document.gradients).toHaveLength(before.gradients.length + 300);
    store.dispatch(step('undo'));
    await settle();
    expect(server.document).toEqual(before);
    expect(state()).toMatchObject({ saving: 'idle', undo: [] });
  });

  it('keeps edits in the page where the storage takes none, and sends them soon after the server is back', async () => {
    vi.stubGlobal('localStorage', new MemoryStorage(0));
    server.away = true;
    for (const color of colors.slice(0, 3)) setBase(color);
    await settle(60_000);
    expect(keptByPageAlone('p')).toBe(3);
    server.away = false;
    await settle(1100);
    expect(sentColors()).toEqual(colors.slice(0, 3));
    expect(keptByPageAlone('p')).toBe(0);
  });

  it('tells of a drag that another’s edit has ended', async () => {
    store.dispatch(preview({ type: 'setBase', family: 'buoy', color: '#121212' }));
    server.log.push({ id: 'theirs', revision: 1, command: { type: 'removeFamily', family: 'buoy' } });
    events.onmessage?.({ data: '{"revision":1}' });
    messages.mockClear();
    await settle();
    expect(state().shown).toBe(state().document);
    expect(messages.mock.calls.map(([text]) => text)).toEqual([
      expect.stringMatching(/changed by somebody else, so it was let go: .*family/),
    ]);
  });

  it('asks before undo takes others’ work along, and can leave it', async () => {
    setBase('#111111');
    await settle();
    const command = { type: 'setBase', family: 'buoy', color: '#999999' } as const;
    const theirsIs = (revision: number) => {
      server.log.push({ id: `theirs ${revision}`, revision, command });
      events.onmessage?.({ data: `{"revision":${revision}}` });
    };
    theirsIs(2);
    await settle();
    const warnings = vi.mocked(toast.warning);
    expect(store.dispatch(step('undo'))).toBe(false);
    const [text, options] = warnings.mock.lastCall!;
    expect(text).toMatch(/Somebody else has since .*base of Buoy.*would take that back too/);
    expect(state().document.families[1]?.base).toBe('#999999');
    const answers = options as unknown as Record<'action' | 'cancel', { label: string; onClick: () => void }>;
    answers.cancel.onClick();
    expect(state().undo).toEqual([]);
    expect(state().document.families[1]?.base).toBe('#999999');
    setBase('#222222');
    await settle();
    theirsIs(4);
    await settle();
    store.dispatch(step('undo'));
    (warnings.mock.lastCall![1] as unknown as typeof answers).action.onClick();
    expect(state().document.families[1]?.base).toBe('#999999');
    expect(state().redo).toHaveLength(1);
  });

  it('asks for a revision of the project that is open, and no other', async () => {
    await expect(whenSaved(store, 'p')).resolves.toBe(0);
    server.away = true;
    setBase('#111111');
    const left = whenSaved(store, 'p');
    const another = {
      id: 'q',
      access: 'owner' as const,
      revision: 77,
      document: SKERRY_LINE,
      unsent: [],
      undo: [],
      redo: [],
    };
    store.dispatch(opened(another));
    await expect(left).rejects.toThrow(/was left/);
    store.dispatch(closed());
    await expect(whenSaved(store, 'p')).rejects.toThrow(/was left/);
  });

  it('gives up on an answer that never comes, and tries again', async () => {
    let hung = 0;
    vi.stubGlobal('fetch', (address: string, init?: RequestInit) => {
      if (hung++ > 0) return server.answer(address, init);
      return new Promise((_, reject) => {
        setTimeout(() => reject(new DOMException('late', 'TimeoutError')), 30_000);
        expect(init?.signal).toBeInstanceOf(AbortSignal);
      });
    });
    setBase('#111111');
    await settle(40_000);
    expect(sentColors()).toEqual(['#111111']);
  });

  it('keeps everything while it is not allowed to send, and sends it when it is', async () => {
    let allowed = false;
    server.refuse = () => (allowed ? null : [429, 'UNKNOWN']);
    for (const color of colors) setBase(color);
    await settle();
    expect(state().saving).toBe('away');
    expect(kept()).toHaveLength(5);
    expect(server.requests).toBeLessThan(15);
    allowed = true;
    await settle();
    expect(sentColors()).toEqual(colors);
  });

  it('lets only the command go that is itself at fault, and no other', async () => {
    const isBad = ({ command }: { command: { color?: string } }) => command.color === '#333333';
    server.refuse = (commands) => (commands.some(isBad) ? [400, 'BAD_REQUEST'] : null);
    for (const color of colors) setBase(color);
    await settle();
    expect(sentColors()).toEqual(colors.filter((color) => color !== '#333333'));
    expect(state()).toMatchObject({ saving: 'idle', unsent: [] });
    expect(kept()).toEqual([]);
  });

  it('takes in what others did while its own commit was on the way', async () => {
    const { answer: usual } = server;
    let theirs = false;
    vi.stubGlobal('fetch', async (address: string, init?: RequestInit) => {
      const response = await usual(address, init);
      if (!theirs && address.endsWith('/commands')) {
        // Told before the answer is there, and not in it.
        theirs = true;
        const command = { type: 'setBase', family: 'kelp', color: '#999999' } as const;
        server.log.push({ id: 'theirs', revision: server.log.length + 1, command });
        events.onmessage?.({ data: `{"revision":${server.log.length}}` });
      }
      return response;
    });
    setBase('#111111');
    await settle();
    expect(state().document.families[2]?.base).toBe('#999999');
    expect(state().revision).toBe(2);
  });

  it('tells of many refused edits in one message that counts them and lists their reasons', async () => {
    const reasons = Array.from({ length: 300 }, (_, i) => `Reason ${i % 7}.`);
    server.unfit = () => reasons.pop() ?? null;
    for (let i = 0; i < 300; i++) setBase(`#${(0x100000 + i).toString(16)}`);
    // What stood there before has gone.
    messages.mock.lastCall?.[1]?.onAutoClose?.({} as never);
    messages.mockClear();
    await settle();
    expect(state()).toMatchObject({ saving: 'idle', unsent: [], document: SKERRY_LINE });
    expect(new Set(messages.mock.calls.map(([, options]) => options?.id))).toEqual(new Set(['dropped']));
    expect(messages.mock.lastCall?.[0]).toMatch(
      /^300 edits could not be saved: (Reason \d\. ?){5} … and 2 more/,
    );
  });

  it('sets a command aside that alone makes the server fail, tells it, and saves the others', async () => {
    const isBad = ({ command }: { command: { color?: string } }) => command.color === '#333333';
    server.refuse = (commands) => (commands.some(isBad) ? [500, 'INTERNAL'] : null);
    for (const color of colors) setBase(color);
    messages.mockClear();
    await settle(60_000);
    expect(sentColors()).toEqual(colors.filter((color) => color !== '#333333'));
    expect(state()).toMatchObject({ saving: 'idle', unsent: [] });
    expect(kept()).toEqual([]);
    const aside = Object.keys(localStorage).filter((key) => key.startsWith('mint-lamp/set-aside/p/'));
    expect(aside.map((key) => localStorage.getItem(key))).toEqual([expect.stringContaining('#333333')]);
    expect(messages.mock.calls.map(([text]) => text)).toEqual([
      expect.stringContaining('set aside: change the base of Buoy'),
    ]);
    const { requests } = server;
    await settle(600_000);
    expect(server.requests).toBe(requests);
  });

  it('keeps everything while the disk of the server is full, and sends it once there is room', async () => {
    server.refuse = (commands) => (commands.length > 0 ? [507, 'DISK_FULL'] : null);
    for (const color of colors) setBase(color);
    await settle(120_000);
    expect(state()).toMatchObject({ saving: 'away', unsent: { length: 5 } });
    expect(kept()).toHaveLength(5);
    expect(Object.keys(localStorage).filter((key) => key.startsWith('mint-lamp/set-aside/'))).toEqual([]);
    server.refuse = () => null;
    await settle(120_000);
    expect(sentColors()).toEqual(colors);
    expect(state()).toMatchObject({ saving: 'idle', unsent: [] });
  });

  it('sets nothing aside while the server fails at everything', async () => {
    vi.stubGlobal('fetch', async () => answer({ error: { code: 'INTERNAL', message: '', path: '' } }, 500));
    for (const color of colors) setBase(color);
    await settle(120_000);
    expect(state()).toMatchObject({ saving: 'away', unsent: { length: 5 } });
    vi.stubGlobal('fetch', server.answer);
    await settle();
    expect(sentColors()).toEqual(colors);
  });

  it('takes on what another tab has left unsent, once it has lain for a while', async () => {
    await settle();
    expect(state().saving).toBe('idle');
    const left = { id: 'left', command: { type: 'setBase', family: 'kelp', color: '#999999' } } as const;
    rememberUnsent('p', left);
    listeners.get('storage')?.({ key: kept()[0], newValue: '…' });
    await settle(1000);
    // The other tab may still be at it.
    expect(server.log).toEqual([]);
    await settle(5000);
    expect(server.log).toMatchObject([left]);
    expect(state()).toMatchObject({ saving: 'idle', unsent: [], revision: 1 });
    expect(state().document.families[2]?.base).toBe('#999999');
    expect(kept()).toEqual([]);
    // The tab wakes up late and writes it down again: it is done with.
    rememberUnsent('p', left);
    listeners.get('storage')?.({ key: kept()[0], newValue: '…' });
    const { requests } = server;
    await settle();
    expect(server.requests).toBe(requests);
  });

  it('asks no more of a removed project, whatever happens, and keeps what was not sent', async () => {
    server.removed = true;
    setBase('#111111');
    await settle();
    expect(state().saving).toBe('gone');
    const { requests } = server;
    for (const color of colors) {
      setBase(color);
      store.dispatch(themeChosen('dark'));
      await settle(1000);
    }
    expect(server.requests).toBe(requests);
    expect(state().saving).toBe('gone');
    expect(kept()).toHaveLength(6);
  });

  it('sends nothing more once the page is older than the server, says so, and loses nothing', async () => {
    server.newer = true;
    setBase('#111111');
    await settle();
    expect(state().saving).toBe('outdated');
    const { requests } = server;
    setBase('#222222');
    await settle(60_000);
    expect(server.requests).toBe(requests);
    expect(state().saving).toBe('outdated');
    expect(kept()).toHaveLength(2);
  });

  it('does nothing more once it is stopped', async () => {
    server.away = true;
    setBase('#111111');
    await settle(1000);
    stop();
    const { requests } = server;
    await settle(60_000);
    expect(server.requests).toBe(requests);
    expect(kept()).toHaveLength(1);
  });
});
