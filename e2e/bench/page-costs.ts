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
  // What the measuring itself costs is measured and taken off.
  const idle = [];
  for (let i = 0; i < sized(20, 3); i++) idle.push(await one(async () => {}));
  // The least of it: what a busy moment added to it would make all else seem to cost less than nothing.
  const own = {
    script: Math.min(...idle.map(({ script }) => script)),
    all: Math.min(...idle.map(({ all }) => all)),
  };
  const measured = async (): Promise<Costs> => {
    const out: Costs = { script: [], all: [] };
    for (let i = 0; i < sized(count, 3); i++) {
      const { script, all } = await one(() => move(i));
      out.script.push(script - own.script);
      out.all.push(all - own.all);
    }
    return out;
  };
  // A busy moment while nothing was done makes all else seem to cost less than nothing: then it is measured anew.
  for (let i = 0; i < 3; i++) {
    const out = await measured();
    if (percentile(out.all, 0.5) >= 0 && percentile(out.script, 0.5) >= 0) return out;
  }
  throw new Error('A move seems to cost less than nothing; the machine is too busy to measure it.');
}
