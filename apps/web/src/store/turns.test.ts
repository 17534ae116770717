import { SKERRY_LINE } from '@mint-lamp/core/demo/skerry-line';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { withNextFrame } from '../ui/frames.ts';
import { type HeldPlace, hold, letGo } from '../ui/held.ts';
import { edit, preview } from './editing.ts';
import { themeChosen } from './interface-slice.ts';
import { advanced, opened } from './project-slice.ts';
import { type AppState, type AppStore, createStore } from './store.ts';
import { type Part, Turns } from './turns.ts';

const HOLDER = {};
let now = 0;
let frames: (() => void)[] = [];
let painted: (() => void)[] = [];
let store: AppStore;
let turns: Turns;
/** Names of the parts that were shown something, in order. */
let shown: string[] = [];

beforeEach(() => {
  now = 1000;
  frames = [];
  painted = [];
  shown = [];
  vi.spyOn(performance, 'now').mockImplementation(() => now);
  vi.stubGlobal('requestAnimationFrame', (draw: () => void) => frames.push(draw));
  vi.stubGlobal(
    'MessageChannel',
    class {
      port1: { onmessage: (() => void) | null } = { onmessage: null };
      port2 = { postMessage: () => painted.push(() => this.port1.onmessage?.()) };
    },
  );
  store = createStore({ saving: false });
  store.dispatch(
    opened({ id: 'x', revision: 1, document: SKERRY_LINE, access: 'owner', unsent: [], undo: [], redo: [] }),
  );
  turns = new Turns(store);
});
afterEach(() => {
  letGo(HOLDER);
  // None is left waiting for a frame that does not come.
  while (frames.length) frame();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

/** A part of the page; `drawing` is how long it takes to be drawn, ms. */
function join(name: string, joined: Partial<Joined> = {}) {
  const { every = 0, isSeen = true } = joined;
  const place: HeldPlace = {};
  let state: AppState = store.getState();
  const part: Part = {
    place,
    every: () => every,
    isSeen: () => isSeen,
    show(next) {
      if (next !== state) shown.push(name);
      state = next;
      now += joined.drawing ?? 4;
    },
  };
  turns.join(part);
  return { place, base: () => state.project!.shown.families[0]!.base };
}
interface Joined {
  drawing: number;
  every: number;
  isSeen: boolean;
}

const FAMILY = SKERRY_LINE.families[0]!;
const moving = (color: string) => preview({ type: 'setBase', family: FAMILY.id, color });
let move: () => void;
const moveNow = () => move();
/** A move of what is dragged, and the frame in which it is shown: the parts that were drawn with it, and in turn. */
function moved(color: string, frameMs = 17): { with: string[]; inTurn: string[] } {
  const atOnce: string[] = [];
  shown = [];
  move = () => {
    const before = shown;
    shown = [];
    store.dispatch(moving(color));
    atOnce.push(...shown);
    shown = before;
  };
  withNextFrame(moveNow);
  frame();
  const inTurn = shown;
  now += frameMs;
  return { with: atOnce, inTurn };
}
/** A frame, and what comes after it is painted. */
function frame(): void {
  for (const draw of frames.splice(0)) draw();
  for (const told of painted.splice(0)) told();
}
const colors = function* () {
  for (let i = 0; ; i++) yield `#${(0x105060 + i * 257).toString(16)}`;
};

it('draws the part in which something is dragged with every move, and the others one after the other', () => {
  const rails = join('rails');
  const lamp = join('lamp');
  const readout = join('readout');
  hold(HOLDER, rails.place);
  const inTurn: string[] = [];
  for (const color of ['#0b5f6a', '#0b5f69', '#0b5f68', '#0b5f67']) {
    const move = moved(color);
    expect(move.with).toEqual(['rails']);
    expect(move.inTurn).toHaveLength(1);
    inTurn.push(...move.inTurn);
    expect(rails.base()).toBe(color);
  }
  expect(inTurn).toEqual(['lamp', 'readout', 'lamp', 'readout']);
  expect(lamp.base()).toBe('#0b5f68');
  expect(readout.base()).toBe('#0b5f67');
});

it('has a move wait for one frame where a turn does not fit beside it', () => {
  const axis = join('axis', { drawing: 12 });
  join('lamp');
  hold(HOLDER, axis.place);
  const color = colors();
  const moves = Array.from({ length: 6 }, () => moved(color.next().value!));
  expect(moves.map((move) => move.with.length)).toEqual([1, 0, 1, 0, 1, 0]);
  expect(moves.map(({ inTurn }) => inTurn.length)).toEqual([0, 1, 0, 1, 0, 1]);
  // The move that waited is made, and shown to all, though no other follows.
  shown = [];
  for (let i = 0; i < 2; i++) frame();
  expect(shown).toEqual(['lamp']);
  expect(frames).toEqual([]);
});

it('shows the last move to all when nothing moves any more, and the end of a drag at once', () => {
  const rails = join('rails');
  const others = ['a', 'b', 'c'].map((name) => join(name));
  hold(HOLDER, rails.place);
  moved('#0b5f60');
  for (let i = 0; i < 3; i++) frame();
  expect(others.map(({ base }) => base())).toEqual(['#0b5f60', '#0b5f60', '#0b5f60']);
  expect(frames).toEqual([]);

  moved('#0b5f61');
  letGo(HOLDER);
  shown = [];
  store.dispatch(edit({ type: 'setBase', family: FAMILY.id, color: '#0b5f62' }));
  expect(new Set(shown)).toEqual(new Set(['rails', 'a', 'b', 'c']));
  for (const part of [rails, ...others]) expect(part.base()).toBe('#0b5f62');
});

it('gives a drag back to all at once', () => {
  const rails = join('rails');
  const lamp = join('lamp');
  hold(HOLDER, rails.place);
  moved('#0b5f60');
  expect(lamp.base()).toBe('#0b5f60');
  letGo(HOLDER);
  store.dispatch(preview(null));
  expect([rails.base(), lamp.base()]).toEqual([FAMILY.base, FAMILY.base]);
});

it('shows whatever is no move of a drag to all at once: what is only looked at, and another theme', () => {
  const rails = join('rails');
  join('lamp');
  expect(moved('#0b5f60').with).toEqual(['rails', 'lamp']);
  hold(HOLDER, rails.place);
  expect(moved('#0b5f61').with).toEqual(['rails']);
  shown = [];
  store.dispatch(themeChosen(SKERRY_LINE.themes[1]!.id));
  expect(shown).toEqual(['rails', 'lamp']);
});

it('shows what others edit meanwhile to all at once, though the drag goes on', () => {
  const rails = join('rails');
  join('lamp');
  hold(HOLDER, rails.place);
  moved('#0b5f61');
  shown = [];
  const command = { type: 'setBase', family: SKERRY_LINE.families[1]!.id, color: '#c02050' } as const;
  const news = { kind: 'entries', entries: [{ id: 'theirs', revision: 2, command }] } as const;
  store.dispatch(advanced({ revision: 2, news, access: 'owner', settled: [] }));
  expect(shown).toEqual(['rails', 'lamp']);
  expect(rails.base()).toBe('#0b5f61');
});

it('leaves the parts around the one in which something is dragged to their turns', () => {
  const station = join('station');
  const rails = join('rails');
  hold(HOLDER, rails.place);
  expect(moved('#0b5f60')).toEqual({ with: ['rails'], inTurn: ['station'] });
  expect(station.base()).toBe('#0b5f60');
});

it('lets nobody wait for a drag that is painted by itself', () => {
  join('rails');
  join('lamp');
  hold(HOLDER, null);
  expect(moved('#0b5f60')).toEqual({ with: [], inTurn: ['rails'] });
});

it('draws what is read less often, and what is out of sight later', () => {
  for (let i = 0; i < 5; i++) join(`read ${i}`, { every: 100 });
  join('seen');
  join('unseen', { isSeen: false });
  const rails = join('rails');
  hold(HOLDER, rails.place);
  const times: Record<string, number[]> = {};
  const color = colors();
  for (let i = 0; i < 120; i++)
    for (const name of moved(color.next().value!).inTurn) times[name] = [...(times[name] ?? []), now];
  const between = (name: string) => times[name]!.slice(1).map((time, i) => time - times[name]![i]!);
  expect(Math.max(...between('seen'))).toBeLessThan(100);
  expect(Math.min(...between('read 3'))).toBeGreaterThanOrEqual(100);
  expect(Math.min(...between('unseen'))).toBeGreaterThanOrEqual(600);
  expect(between('unseen').length).toBeGreaterThan(1);
});

it('learns what turns cost, and gives as many in a frame as fit', () => {
  const rails = join('rails', { drawing: 1 });
  for (const name of ['a', 'b', 'c', 'd']) join(name, { drawing: 1 });
  hold(HOLDER, rails.place);
  const color = colors();
  const counts = Array.from({ length: 20 }, () => moved(color.next().value!).inTurn.length);
  expect(counts[0]).toBe(1);
  expect(counts.at(-1)).toBe(4);
});

it('gives what costs much a frame by itself', () => {
  const rails = join('rails');
  join('cheap', { drawing: 1 });
  join('dear', { drawing: 12 });
  hold(HOLDER, rails.place);
  const color = colors();
  const all = Array.from({ length: 24 }, () => moved(color.next().value!)).slice(4);
  for (const move of all)
    if (move.inTurn.includes('dear')) expect(move).toEqual({ with: [], inTurn: ['dear'] });
  expect(new Set(all.flatMap(({ inTurn }) => inTurn))).toEqual(new Set(['cheap', 'dear']));
});

it('learns that something costs more than it did', () => {
  const rails = join('rails');
  const growing = { drawing: 1 };
  join('a', growing);
  join('b', { drawing: 1 });
  hold(HOLDER, rails.place);
  const color = colors();
  const most = (count: number) => {
    const all = Array.from({ length: count }, () => moved(color.next().value!).inTurn.length);
    return Math.max(...all.slice(-4));
  };
  expect(most(10)).toBe(2);
  growing.drawing = 30;
  expect(most(40)).toBe(1);
});
