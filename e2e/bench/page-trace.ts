import type { Browser, Page } from '@playwright/test';
import { sized } from '../../packages/core/bench/report.ts';

/** What a page's thread is at, ms. */
export interface Parts {
  readonly script: number;
  readonly style: number;
  readonly layout: number;
  readonly paint: number;
  readonly composite: number;
  readonly garbage: number;
  readonly other: number;
  /** All of it. */
  readonly all: number;
}
type PartName = Exclude<keyof Parts, 'all'>;
export const PART_NAMES = ['script', 'style', 'layout', 'paint', 'composite', 'garbage', 'other'] as const;

/** An event of Chromium's trace. */
interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  /** When, by the thread's own clock, which stands still while others have the processor, µs. */
  readonly tts: number;
  /** For how long by that clock. */
  readonly tdur?: number;
  readonly pid: number;
  readonly tid: number;
}

const OF: Readonly<Record<string, PartName>> = {
  EvaluateScript: 'script',
  FunctionCall: 'script',
  EventDispatch: 'script',
  FireAnimationFrame: 'script',
  TimerFire: 'script',
  RunMicrotasks: 'script',
  'v8.run': 'script',
  'v8.compile': 'script',
  'V8.DeoptimizeCode': 'script',
  'V8.OptimizeCode': 'script',
  HandlePostMessage: 'script',
  ParseHTML: 'script',
  UpdateLayoutTree: 'style',
  RecalculateStyles: 'style',
  ScheduleStyleRecalculation: 'style',
  ParseAuthorStyleSheet: 'style',
  Layout: 'layout',
  HitTest: 'layout',
  IntersectionObserverController: 'layout',
  PrePaint: 'paint',
  Paint: 'paint',
  PaintImage: 'paint',
  Layerize: 'composite',
  Commit: 'composite',
  UpdateLayer: 'composite',
  CompositeLayers: 'composite',
  MinorGC: 'garbage',
  MajorGC: 'garbage',
};
const partOf = (name: string): PartName | null =>
  OF[name] ??
  (/^V8\.GC|^BlinkGC/.test(name) ? 'garbage' : /^Animation|^UpdateAnim/.test(name) ? 'style' : null);

const CATEGORIES = [
  '-*',
  'devtools.timeline',
  'disabled-by-default-devtools.timeline',
  'blink.user_timing',
  'v8',
  'devtools.timeline.async',
];

const MARK = /^(move|idle) (\d+) (begin|end)$/;

/** What tasks of a thread come to between two times: each event's time without that of those in it. */
function partsBetween(events: readonly TraceEvent[], from: number, to: number): Parts {
  const sums: Record<PartName, number> = {
    script: 0,
    style: 0,
    layout: 0,
    paint: 0,
    composite: 0,
    garbage: 0,
    other: 0,
  };
  const open: { end: number; part: PartName }[] = [];
  let at = from;
  const upTo = (time: number) => {
    const top = open.at(-1);
    if (top && time > at) sums[top.part] += (time - at) / 1000;
    at = Math.max(at, time);
  };
  const closeBefore = (time: number) => {
    for (let top = open.at(-1); top && top.end <= time; top = open.at(-1)) {
      upTo(top.end);
      open.pop();
    }
  };
  for (const { name, tts: ts, tdur: dur = 0 } of events) {
    if (ts + dur <= from || ts >= to) continue;
    const isTask = name === 'RunTask';
    const part = partOf(name);
    if (!isTask && part === null) continue;
    closeBefore(Math.max(ts, from));
    upTo(Math.max(ts, from));
    open.push({ end: Math.min(ts + dur, to), part: part ?? 'other' });
  }
  closeBefore(to);
  return { ...sums, all: Object.values(sums).reduce((a, b) => a + b, 0) };
}

/** What is left of some parts without others, never less than nothing. */
const without = (parts: Parts, less: Parts): Parts => {
  const left = Object.fromEntries(
    PART_NAMES.map((name) => [name, Math.max(0, parts[name] - less[name])]),
  ) as Record<PartName, number>;
  return { ...left, all: PART_NAMES.reduce((sum, name) => sum + left[name], 0) };
};

/** Idle frames by which it is known what the measuring itself costs. */
const IDLE = 20;

/**
 * Runs something for a frame or two on a page, many times, and says what each came to on the page's thread, by that
 * thread's own clock and without what the measuring itself costs.
 */
export async function traced(
  browser: Browser,
  page: Page,
  move: (i: number) => Promise<unknown>,
  count: number,
): Promise<Parts[]> {
  const [moves, idle] = [sized(count, 2), sized(IDLE, 2)];
  const marked = async (name: string, what: () => Promise<unknown>) => {
    await page.evaluate((text) => performance.mark(text), `${name} begin`);
    await what();
    await page.evaluate(
      (text) =>
        new Promise<void>((done) =>
          requestAnimationFrame(() =>
            requestAnimationFrame(() => {
              performance.mark(text);
              done();
            }),
          ),
        ),
      `${name} end`,
    );
  };
  await browser.startTracing(page, { categories: CATEGORIES });
  for (let i = 0; i < idle; i++) await marked(`idle ${i}`, async () => {});
  for (let i = 0; i < moves; i++) await marked(`move ${i}`, () => move(i));
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString()) as {
    traceEvents: TraceEvent[];
  };
  const marks = new Map(
    traceEvents.filter(({ name }) => MARK.test(name)).map((event) => [event.name, event]),
  );
  const { pid, tid } = marks.get('move 0 begin')!;
  const events = traceEvents
    .filter((event) => event.pid === pid && event.tid === tid && event.ph === 'X')
    .sort((a, b) => a.tts - b.tts || (b.tdur ?? 0) - (a.tdur ?? 0));
  const between = (name: string) =>
    partsBetween(events, marks.get(`${name} begin`)!.tts, marks.get(`${name} end`)!.tts);
  const idles = Array.from({ length: idle }, (_, i) => between(`idle ${i}`)).sort((a, b) => a.all - b.all);
  const own = idles[Math.floor(idle / 2)]!;
  return Array.from({ length: moves }, (_, i) => without(between(`move ${i}`), own));
}
