import type { Page } from '@playwright/test';
import { percentileOf, sized } from '../../packages/core/bench/report.ts';

/** The value below which a share (0–1) of the values lies. */
export const percentile = percentileOf;

export interface Costs {
  /** Milliseconds of script for each move. */
  readonly script: number[];
  /** Milliseconds of everything that the page's thread does: script, style, layout, paint. */
  readonly all: number[];
}

/** How far two measurements of the same may lie apart, in milliseconds. */
const ACCURACY_MS = 1;

const notNegative = (ms: number) => Math.max(0, ms);

/** What each of some pointer moves costs the page's thread, as Chromium accounts for it. */
export async function costs(page: Page, move: (i: number) => Promise<void>, count: number): Promise<Costs> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const read = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    const of = (name: string) => metrics.find((metric) => metric.name === name)!.value * 1000;
    return { script: of('ScriptDuration'), all: of('TaskDuration') };
  };
  const painted = () =>
    page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  const one = async (what: () => Promise<unknown>) => {
    const before = await read();
    await what();
    await painted();
    const after = await read();
    return { script: after.script - before.script, all: after.all - before.all };
  };
  // What the measuring itself costs is measured and taken off: the least of it, since a busy moment added to it would
  // make all else seem to cost less than nothing.
  const own = { script: Number.POSITIVE_INFINITY, all: Number.POSITIVE_INFINITY };
  const measured = async (): Promise<Costs> => {
    for (let i = 0; i < sized(20, 5); i++) {
      const idle = await one(async () => {});
      own.script = Math.min(own.script, idle.script);
      own.all = Math.min(own.all, idle.all);
    }
    const out: Costs = { script: [], all: [] };
    for (let i = 0; i < sized(count, 3); i++) {
      const { script, all } = await one(() => move(i));
      out.script.push(script - own.script);
      out.all.push(all - own.all);
    }
    return out;
  };
  // Where a move costs nothing, it may come out as a little less than the measuring by itself; where it comes out as
  // much less, all idle moments were busy ones, and it is measured anew.
  for (let i = 0; i < 5; i++) {
    const out = await measured();
    if (Math.min(percentile(out.all, 0.5), percentile(out.script, 0.5)) >= -ACCURACY_MS)
      return { script: out.script.map(notNegative), all: out.all.map(notNegative) };
  }
  throw new Error('A move seems to cost less than nothing; the machine is too busy to measure it.');
}

export interface Steps {
  /** Milliseconds from each press of the key until the frame that shows it is painted. */
  readonly shown: number[];
  /** The longest that the page was held meanwhile and until it came to rest, ms; 0 where it was never over 50. */
  readonly held: number;
}

/** What some presses of a key come to for whoever looks, one after the other, and what is done behind them. */
export async function steps(page: Page, press: () => Promise<void>, count: number): Promise<Steps> {
  await page.evaluate(() => {
    const seen = { shown: [] as number[], held: 0 };
    const observer = new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) seen.held = Math.max(seen.held, duration);
    });
    observer.observe({ type: 'longtask' });
    const onKey = ({ timeStamp }: KeyboardEvent) =>
      requestAnimationFrame(() => {
        // A message comes after the frame.
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => seen.shown.push(performance.now() - timeStamp);
        port2.postMessage(null);
      });
    addEventListener('keydown', onKey, true);
    const end = () => {
      removeEventListener('keydown', onKey, true);
      observer.disconnect();
      return seen;
    };
    Object.assign(window, { endSteps: end });
  });
  for (let i = 0; i < sized(count, 3); i++) {
    await press();
    await page.waitForTimeout(sized(250, 50));
  }
  await page.waitForTimeout(sized(500, 100));
  return page.evaluate(() => (window as unknown as { endSteps: () => Steps }).endSteps());
}
