import { expect, it, vi } from 'vitest';
import { LatelySet } from './set-values.ts';

const grey = { model: 'oklch', values: [50, 0, 200], rgb: [119, 119, 119] } as const;
const blue = { model: 'oklch', values: [50, 0.1, 250], rgb: [40, 110, 170] } as const;

it('knows by which values a colour was set, in their model', () => {
  const lately = new LatelySet();
  expect(lately.isEmpty).toBe(true);
  lately.put(grey, true);
  expect(lately.valuesOf('oklch', [119, 119, 119])).toEqual([50, 0, 200]);
  expect(lately.valuesOf('hsl', [119, 119, 119])).toBe(null);
  expect(lately.valuesOf('oklch', [119, 119, 120])).toBe(null);
});

it('knows what a part of the page that is some moves behind still shows, and the newest of one colour', () => {
  const lately = new LatelySet();
  lately.put(grey, false);
  lately.put(blue, false);
  lately.put({ ...blue, values: [50.01, 0.1, 250] }, false);
  expect(lately.valuesOf('oklch', [119, 119, 119])).toEqual([50, 0, 200]);
  expect(lately.valuesOf('oklch', [40, 110, 170])).toEqual([50.01, 0.1, 250]);
});

it('gives a drag back, not what was made before it', () => {
  const lately = new LatelySet();
  lately.put(grey, true);
  lately.put(blue, false);
  lately.put({ ...grey, values: [50, 0, 10] }, false);
  lately.giveBack();
  expect(lately.valuesOf('oklch', [119, 119, 119])).toEqual([50, 0, 200]);
  expect(lately.valuesOf('oklch', [40, 110, 170])).toBe(null);
  // What is made stays, and of what was shown on the way nothing does.
  lately.put({ ...blue, rgb: [1, 2, 3] }, false);
  lately.put(blue, true);
  expect(lately.valuesOf('oklch', [1, 2, 3])).toBe(null);
  lately.giveBack();
  expect(lately.valuesOf('oklch', [40, 110, 170])).toEqual([50, 0.1, 250]);
});

it('forgets in a drag what is long past, and tells who listens', () => {
  const lately = new LatelySet();
  const heard = vi.fn();
  const stop = lately.subscribe(heard);
  lately.put(grey, true);
  for (let i = 0; i < 64; i++) lately.put({ ...blue, rgb: [i, 0, 0] }, false);
  expect(lately.valuesOf('oklch', [119, 119, 119])).toBe(null);
  expect(heard).toHaveBeenCalledTimes(65);
  stop();
  lately.put(grey, true);
  expect(heard).toHaveBeenCalledTimes(65);
});
