import { type Remote, wrap } from 'comlink';
import type { TextWorker } from './text-worker.ts';

let worker: Remote<TextWorker> | undefined;

/** Finds the colours in a text, off the main thread. */
export async function findColorsInText(text: string) {
  worker ??= wrap<TextWorker>(new Worker(new URL('./text-worker.ts', import.meta.url), { type: 'module' }));
  return worker.findColors(text);
}
