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

const BEGIN = 'drag begins';
const END = 'drag ends';

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

/** Between two moves of a pointer, ms. */
const FRAME_MS = 1000 / 60;

/**
 * Runs moves at the pace of a pointer, whether the page keeps up or not, and says what each frame that was shown
 * meanwhile came to on the page's thread, by that thread's own clock, which stands still while others have the processor.
 */
export async function tracedFrames(
  browser: Browser,
  page: Page,
  move: (i: number) => Promise<unknown>,
  count: number,
): Promise<Parts[]> {
  const moves = sized(count, 6);
  await browser.startTracing(page, { categories: CATEGORIES });
  await page.evaluate((name) => void performance.mark(name), BEGIN);
  const sent: Promise<unknown>[] = [];
  const begun = performance.now();
  for (let i = 0; i < moves; i++) {
    const wait = begun + i * FRAME_MS - performance.now();
    if (wait > 0) await new Promise((done) => setTimeout(done, wait));
    sent.push(move(i));
  }
  await Promise.all(sent);
  await page.evaluate((name) => void performance.mark(name), END);
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString()) as {
    traceEvents: TraceEvent[];
  };
  const mark = (name: string) => traceEvents.find((event) => event.name === name)!;
  const { pid, tid, tts: from } = mark(BEGIN);
  const { tts: to } = mark(END);
  const events = traceEvents
    .filter((event) => event.pid === pid && event.tid === tid && event.ph === 'X')
    .sort((a, b) => a.tts - b.tts || (b.tdur ?? 0) - (a.tdur ?? 0));
  const ends = events
    .filter(({ name, tts }) => name === 'Commit' && tts >= from && tts <= to)
    .map(({ tts, tdur = 0 }) => tts + tdur);
  return ends.slice(1).map((end, i) => partsBetween(events, ends[i]!, end));
}
