import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { MovedColor, PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import type { Area } from '@mint-lamp/core/gradient/area';
import type { FollowedRow } from '@mint-lamp/core/gradient/follow-row';
import type { PictureLine } from '@mint-lamp/core/picture/row';
import { proxy, type Remote, releaseProxy, wrap } from 'comlink';
import type { Aimed, Light, PaletteRow, PixelWorkerApi, View, Worst } from './pixel-worker.ts';
import type { EyeAnswer } from './seen-first.ts';

/** A picture whose pixels a worker holds; the page has none of them. */
export interface OpenedPicture {
  /** px, upright. */
  readonly width: number;
  readonly height: number;
  /**
   * The least opacity in it, 1–255. A browser hands out the colours of pixels as multiplied by their opacity and divided by
   * it again, so that translucent ones are known the less exactly the fainter they are.
   */
  readonly faintest: number;
  /** Bytes of pixels that the worker holds. */
  readonly held: number;
  render(view: View, light: Light | null): Promise<ImageBitmap>;
  aim(place: PixelPlace, reach: number, size: number): Promise<Aimed>;
  averages(places: readonly PixelPlace[]): Promise<Rgba[]>;
  palettes(size: number, moved: readonly MovedColor[]): Promise<PaletteRow[] | null>;
  follow(
    line: PictureLine,
    side: number,
    tolerance: number,
  ): Promise<FollowedRow & { readonly row: Uint8ClampedArray<ArrayBuffer> }>;
  worst(text: Rgba, x: number, y: number, width: number, height: number): Promise<Worst>;
  eye(
    text: Rgba,
    region: Area,
    required: number,
    others: readonly Rgba[],
    veils: readonly Rgba[],
    lying: Rgba | null,
  ): Promise<EyeAnswer>;
  worstOfEach(texts: readonly Rgba[], x: number, y: number, width: number, height: number): Promise<number[]>;
}

/** How long a picture that nobody looks at stays open, ms: another station is visited and come back from. */
const KEPT_MS = 60_000;

/** How often a worker that owes an answer is asked whether it is there, and how long it may take to say so, ms. */
const ASK_MS = 3000;
const PATIENCE_MS = 10_000;

interface Entry {
  readonly address: string;
  readonly opening: Promise<OpenedPicture>;
  /** Rejects when the worker breaks down or does not answer any more; never resolves. */
  readonly broken: Promise<never>;
  readonly close: () => void;
  readonly listeners: Set<(share: number) => void>;
  progress: number;
  timer: number;
}

/** One picture is open at a time: the largest take some hundred megabytes. */
let current: Entry | null = null;

/** Watches over a worker while it owes answers: its long things stop now and then, so one that is there can say so. */
class Watch {
  private owed = 0;
  private timer = 0;
  private readonly ask: () => Promise<unknown>;
  private readonly silent: () => void;

  constructor(ask: () => Promise<unknown>, silent: () => void) {
    this.ask = ask;
    this.silent = silent;
  }

  async over<T>(answer: Promise<T>): Promise<T> {
    this.owed += 1;
    if (this.owed === 1) this.timer = window.setTimeout(() => this.look(), ASK_MS);
    try {
      return await answer;
    } finally {
      this.owed -= 1;
      if (!this.owed) this.stop();
    }
  }

  stop(): void {
    clearTimeout(this.timer);
  }

  private look(): void {
    this.timer = window.setTimeout(this.silent, PATIENCE_MS);
    void this.ask().then(() => {
      clearTimeout(this.timer);
      if (this.owed) this.timer = window.setTimeout(() => this.look(), ASK_MS);
    });
  }
}

function open(address: string): Entry {
  const worker = new Worker(new URL('./pixel-worker.ts', import.meta.url), { type: 'module' });
  const remote: Remote<PixelWorkerApi> = wrap<PixelWorkerApi>(worker);
  let breakDown: (error: Error) => void = () => {};
  const broken = new Promise<never>((_, reject) => {
    breakDown = reject;
  });
  worker.addEventListener('error', ({ message }) =>
    breakDown(new Error(message || 'The part of Mint Lamp that reads pictures could not be loaded.')),
  );
  broken.catch(() => {});
  const watch = new Watch(
    () => remote.isThere(),
    () => breakDown(new Error('The part of Mint Lamp that reads pictures does not answer any more.')),
  );
  const listeners = new Set<(share: number) => void>();
  let isClosed = false;
  const entry: Entry = {
    address,
    listeners,
    broken,
    progress: 0,
    timer: 0,
    close() {
      if (isClosed) return;
      isClosed = true;
      watch.stop();
      remote[releaseProxy]();
      worker.terminate();
    },
    opening: Promise.race([
      watch.over(
        remote.open(
          address,
          proxy((share: number) => {
            entry.progress = share;
            for (const tell of listeners) tell(share);
          }),
        ),
      ),
      broken,
    ]).then((size) => ({
      ...size,
      render: (view, light) => watch.over(remote.render(view, light)),
      aim: (place, reach, side) => watch.over(remote.aim(place, reach, side) as Promise<Aimed>),
      averages: (places) => watch.over(remote.averages(places)),
      palettes: (count, moved) => watch.over(remote.palettes(count, moved)),
      follow: (line, side, tolerance) => watch.over(remote.follow(line, side, tolerance)),
      worst: (text, x, y, width, height) => watch.over(remote.worst(text, x, y, width, height)),
      eye: (text, region, required, others, veils, lying) =>
        watch.over(remote.eye(text, region, required, others, veils, lying)),
      worstOfEach: (texts, x, y, width, height) => watch.over(remote.worstOfEach(texts, x, y, width, height)),
    })),
  };
  // One that cannot be opened, or has broken down, does not stand in the way of another try.
  entry.opening.catch(() => close(entry));
  broken.catch(() => close(entry));
  return entry;
}

/** Closes the picture that is open, if it is that one. */
function close(entry: Entry): void {
  clearTimeout(entry.timer);
  entry.close();
  if (current === entry) current = null;
}

/**
 * Opens a picture by its address, or takes the one that is open. The way to leave it is returned; it stays open for a
 * while then.
 */
export function lookAt(
  address: string,
  onProgress: (share: number) => void,
): {
  readonly opening: Promise<OpenedPicture>;
  /** Rejects when it breaks down later; what is still asked of it then has no answer. */
  readonly broken: Promise<never>;
  readonly leave: () => void;
} {
  if (current && current.address !== address) close(current);
  current ??= open(address);
  const entry = current;
  clearTimeout(entry.timer);
  entry.listeners.add(onProgress);
  onProgress(entry.progress);
  return {
    opening: entry.opening,
    broken: entry.broken,
    leave() {
      entry.listeners.delete(onProgress);
      if (entry.listeners.size || current !== entry) return;
      entry.timer = window.setTimeout(() => close(entry), KEPT_MS);
    },
  };
}
