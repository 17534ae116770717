import { expect, type Locator } from '@playwright/test';
import { PNG } from 'pngjs';

/** Something as it is seen, without what appears beside it under the pointer. */
export const seen = async (thing: Locator): Promise<PNG> => PNG.sync.read(await thing.screenshot());

/** Letters and lines are smoothed otherwise, and dashes begin elsewhere; what stands elsewhere differs by more than twice that. */
export const SMOOTHING = 0.02;

/** The share of pixels that differ by more than smoothing does. */
export function differing(a: PNG, b: PNG): number {
  expect([a.width, a.height]).toEqual([b.width, b.height]);
  let count = 0;
  for (let i = 0; i < a.data.length; i += 4)
    if ([0, 1, 2].some((k) => Math.abs(a.data[i + k]! - b.data[i + k]!) > 96)) count++;
  return count / (a.width * a.height);
}
