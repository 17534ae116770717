import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { JobPool, type PoolWorker } from './pool.ts';

/** Workers that do what a test says, and say what was done with them. */
class FakeWorker implements PoolWorker {
  readonly ready: Promise<unknown>;
  broken = new Promise<never>(() => {});
  terminated = false;
  calledOff = 0;
  loaded: string[] = [];
  private stop: () => void = () => {};
  constructor(loads: boolean) {
    this.ready = loads ? Promise.resolve() : Promise.reject(new Error('no script'));
  }
  async run(
    name: string,
    input: unknown,
    _transfer: readonly Transferable[],
    onProgress: (n: number) => void,
  ) {
    ran.push(`${name} ${input}`);
    if (name === 'fail') throw new Error(`It fails: ${input}`);
    if (name === 'load' && failures-- > 0) throw Object.assign(new Error('x'), { name: 'LoadFailure' });
    if (name === 'crash') throw Object.assign(new Error('It broke down.'), { name: 'WorkerBroken' });
    onProgress(0.5);
    await new Promise<void>((resolve, reject) => {
      this.stop = () => name === 'polite' && reject(new Error('called off'));
      setTimeout(resolve, 100);
    });
    return `${name} of ${input}`;
  }
  async load(name = 'all') {
    if (failures-- > 0) throw new Error('no part');
    this.loaded.push(name);
  }
  callOff() {
    this.calledOff++;
    this.stop();
  }
  terminate() {
    this.terminated = true;
  }
}

let workers: FakeWorker[];
let ran: string[];
let failures: number;
let loads: () => boolean;

const pool = (size: number) =>
  new JobPool({
    size,
    graceMs: 50,
    retryMs: [10, 20],
    createWorker: () => {
      const worker = new FakeWorker(loads());
      workers.push(worker);
      return worker;
    },
  });
const fate = (promise: Promise<unknown>) =>
  promise.then(
    (value) => value,
    (error: Error) => `${error.name}: ${error.message}`,
  );

beforeEach(() => {
  vi.useFakeTimers();
  workers = [];
  ran = [];
  failures = 0;
  loads = () => true;
});
afterEach(() => vi.useRealTimers());

describe('jobs', () => {
  it('run in as many workers as there may be, the others wait, and workers are kept', async () => {
    const jobs = pool(2);
    const results = Promise.all(['a', 'b', 'c', 'd', 'e'].map((input) => jobs.run('work', input)));
    await vi.advanceTimersByTimeAsync(50);
    expect(ran).toEqual(['work a', 'work b']);
    await vi.advanceTimersByTimeAsync(1000);
    expect(await results).toEqual(['a', 'b', 'c', 'd', 'e'].map((input) => `work of ${input}`));
    expect(workers).toHaveLength(2);
  });

  it('run in a worker that was made ready ahead', async () => {
    const jobs = pool(2);
    await jobs.warm();
    loads = () => false;
    const result = fate(jobs.run('work', 1));
    await vi.advanceTimersByTimeAsync(200);
    expect(await result).toBe('work of 1');
    expect(workers.map(({ loaded }) => loaded)).toEqual([['all']]);
  });

  it('run in a worker that is on its way for them, which has all others loaded later', async () => {
    const jobs = pool(2);
    const expected = jobs.warm('work');
    const result = jobs.run('work', 1);
    await vi.advanceTimersByTimeAsync(200);
    await expected;
    expect(await result).toBe('work of 1');
    await jobs.warm();
    expect(workers.map(({ loaded }) => loaded)).toEqual([['work', 'all']]);
  });

  it('that are expected while all workers are at work get none of their own', async () => {
    const jobs = pool(1);
    const result = jobs.run('work', 1);
    await vi.advanceTimersByTimeAsync(10);
    await jobs.warm('work');
    await vi.advanceTimersByTimeAsync(200);
    expect(await result).toBe('work of 1');
    expect(workers).toHaveLength(1);
  });

  it('run in another worker where the one that was on its way could not be made, or lacks a part', async () => {
    const jobs = pool(1);
    loads = () => false;
    await jobs.warm();
    expect(workers.map(({ terminated }) => terminated)).toEqual([true]);
    loads = () => true;
    failures = 1;
    await jobs.warm();
    expect(workers.map(({ terminated }) => terminated)).toEqual([true, true]);
    const result = jobs.run('work', 2);
    await vi.advanceTimersByTimeAsync(200);
    expect(await result).toBe('work of 2');
    expect(workers).toHaveLength(3);
  });

  it('tell their progress', async () => {
    const told: number[] = [];
    const result = pool(1).run('work', 'a', { onProgress: (share) => told.push(share) });
    await vi.advanceTimersByTimeAsync(200);
    expect([await result, told]).toEqual(['work of a', [0.5]]);
  });

  it('of one lane: the latest wins, and one that does not stop is ended with its worker', async () => {
    const jobs = pool(1);
    const first = fate(jobs.run('stubborn', 1, { lane: 'text' }));
    await vi.advanceTimersByTimeAsync(10);
    const second = fate(jobs.run('work', 2, { lane: 'text' }));
    const third = fate(jobs.run('work', 3, { lane: 'text' }));
    const other = fate(jobs.run('work', 4, { lane: 'picture' }));
    await vi.advanceTimersByTimeAsync(1000);
    expect(await Promise.all([first, second, third, other])).toEqual([
      'JobCalledOff: ',
      'JobCalledOff: ',
      'work of 3',
      'work of 4',
    ]);
    expect(ran).toEqual(['stubborn 1', 'work 3', 'work 4']);
    expect(workers.map(({ terminated }) => terminated)).toEqual([true, false]);
  });

  it('that listen are called off without losing their worker', async () => {
    const jobs = pool(1);
    const leave = new AbortController();
    const first = fate(jobs.run('polite', 1, { signal: leave.signal }));
    await vi.advanceTimersByTimeAsync(10);
    leave.abort();
    const second = fate(jobs.run('work', 2));
    await vi.advanceTimersByTimeAsync(500);
    expect(await Promise.all([first, second])).toEqual(['JobCalledOff: ', 'work of 2']);
    expect(workers.map(({ terminated, calledOff }) => [terminated, calledOff])).toEqual([[false, 1]]);
    expect(await fate(jobs.run('work', 3, { signal: leave.signal }))).toBe('JobCalledOff: ');
  });

  it('that fail say why, and the next one runs', async () => {
    const jobs = pool(1);
    const results = [
      fate(jobs.run('fail', 'too large')),
      fate(jobs.run('crash', 1)),
      fate(jobs.run('work', 2)),
    ];
    await vi.advanceTimersByTimeAsync(500);
    expect(await Promise.all(results)).toEqual([
      'JobError: It fails: too large',
      'JobError: It broke down.',
      'work of 2',
    ]);
    expect(workers.map(({ terminated }) => terminated)).toEqual([true, false]);
  });

  it('whose script cannot be loaded try again, and say so when that does not help', async () => {
    let tries = 0;
    loads = () => ++tries > 2;
    const back = fate(pool(1).run('work', 1));
    await vi.advanceTimersByTimeAsync(500);
    expect(await back).toBe('work of 1');
    loads = () => false;
    const gone = fate(pool(1).run('work', 1));
    await vi.advanceTimersByTimeAsync(500);
    expect(await gone).toMatch(/^JobError: The part of Mint Lamp that does this could not be loaded/);
  });

  it('whose part cannot be loaded are run again in another worker', async () => {
    failures = 1;
    const result = fate(pool(1).run('load', 1));
    await vi.advanceTimersByTimeAsync(500);
    expect(await result).toBe('load of 1');
    expect(workers.map(({ terminated }) => terminated)).toEqual([true, false]);
    failures = 9;
    const gone = fate(pool(1).run('load', 2));
    await vi.advanceTimersByTimeAsync(500);
    expect(await gone).toBe('JobError: x');
  });
});
