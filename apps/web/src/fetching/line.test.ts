import { afterEach, expect, it, vi } from 'vitest';
import { lineIsCostly } from './line.ts';

interface File {
  readonly transferSize: number;
  readonly requestStart: number;
  readonly responseEnd: number;
}

const file = (bytes: number, ms: number): File => ({
  transferSize: bytes,
  requestStart: 100,
  responseEnd: 100 + ms,
});

afterEach(() => vi.unstubAllGlobals());

it.each<[string, boolean, object | undefined, File[]]>([
  ['data are saved', true, { saveData: true, effectiveType: '4g' }, []],
  ['the browser knows it to be slow', true, { saveData: false, effectiveType: '3g' }, []],
  ['the browser knows it to be fast', false, { saveData: false, effectiveType: '4g' }, [file(100_000, 400)]],
  ['nothing is known', false, undefined, []],
  ['files came slowly', true, undefined, [file(100_000, 4000), file(40_000, 2000)]],
  ['one of the files came fast', false, undefined, [file(100_000, 4000), file(40_000, 200)]],
  ['only small files came, which tell nothing', false, undefined, [file(2_000, 900)]],
  ['all came from the browser’s own store', false, undefined, [file(0, 1)]],
])('where %s, fetching ahead is a burden: %s', (_, costly, connection, files) => {
  vi.stubGlobal('navigator', { connection });
  vi.stubGlobal('performance', { getEntriesByType: () => files });
  expect(lineIsCostly()).toBe(costly);
});
