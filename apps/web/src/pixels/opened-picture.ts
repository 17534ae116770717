import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { MovedColor, PixelPlace } from '@mint-lamp/core/document/pictures/picture';
import type { Area } from '@mint-lamp/core/gradient/area';
import type { FollowedRow } from '@mint-lamp/core/gradient/follow-row';
import type { PictureLine } from '@mint-lamp/core/picture/row';
import { proxy, releaseProxy } from 'comlink';
import type { PaletteRow } from './palette-rows.ts';
import type { Aimed, Light, Size, View, Worst } from './pixel-worker.ts';
import type { EyeAnswer } from './seen-first.ts';
import { takeWorker } from './worker-ahead.ts';

/**
 * A picture, of a size in px, upright, whose pixels a worker holds; the page has none of them. Before all of them are read
 * there may be a small copy, which is rendered and has palettes; whatever else is asked is answered once all are read.
 */
export interface OpenedPicture extends Size {
  /** Whether all pixels are read, and when they are. */
  readonly isWhole: () => boolean;
  readonly whole: Promise<void>;
  /**
   * The least opacity in it, 1–255. A browser hands out the colours of pixels as multiplied by their opacity and divided by
   * it again, so that translucent ones are known the less exactly the fainter they are.
   */
  readonly faintest: number;
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

const OPAQUE = 255;

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

function open(address: string, size: Size | null): Entry {
  const { worker, remote } = takeWorker();
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
  let tellOfCopy = () => {};
  const copied = new Promise<void>((resolve) => {
    tellOfCopy = resolve;
  });
  const tell = (share: number) => {
    entry.progress = share;
    for (const listen of listeners) listen(share);
  };
  const reading = Promise.race([
    watch.over(remote.open(address, size, proxy(tell), proxy(tellOfCopy))),
    broken,
  ]);
  let isRead = false;
  const whole = reading.then(() => {
    isRead = true;
  });
  // Who has seen the copy is told when no more comes of it.
  whole.catch(breakDown);
  const opened = (seen: Size, faintest: number): OpenedPicture => ({
    width: seen.width,
    height: seen.height,
    faintest,
    isWhole: () => isRead,
    whole,
    render: (view, light) => watch.over(remote.render(view, light)),
    aim: (place, reach, side) => watch.over(remote.aim(place, reach, side) as Promise<Aimed>),
    averages: (places) => watch.over(remote.averages(places)),
    palettes: (count, moved) => watch.over(remote.palettes(count, moved)),
    follow: (line, side, tolerance) => watch.over(remote.follow(line, side, tolerance)),
    worst: (text, x, y, width, height) => watch.over(remote.worst(text, x, y, width, height)),
    eye: (text, region, required, others, veils, lying) =>
      watch.over(remote.eye(text, region, required, others, veils, lying)),
    worstOfEach: (texts, x, y, width, height) => watch.over(remote.worstOfEach(texts, x, y, width, height)),
  });
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
    // JPEG, of which there are copies, is opaque.
    opening: Promise.race([
      copied.then(() => opened(size!, OPAQUE)),
      whole.then(() => reading).then((read) => opened(read, read.faintest)),
    ]),
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
 * Opens a picture by its address, or takes the one that is open; a small copy comes first only where its size is said. The
 * way to leave it is returned; it stays open for a while then.
 */
export function lookAt(
  address: string,
  size: Size | null,
  onProgress: (share: number) => void,
): {
  readonly opening: Promise<OpenedPicture>;
  /** Rejects when it breaks down later; what is still asked of it then has no answer. */
  readonly broken: Promise<never>;
  readonly leave: () => void;
} {
  if (current && current.address !== address) close(current);
  current ??= open(address, size);
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
