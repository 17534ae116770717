import type { Triple } from '@mint-lamp/core/color/kernel';

/** Channels as they were set in a model, and the colour that they are painted as. */
export interface SetValues {
  readonly model: string;
  readonly values: readonly number[];
  /** 8-bit sRGB. */
  readonly rgb: Readonly<Triple>;
}

/** Parts of the page may show where a drag was a while ago. */
const REMEMBERED = 64;

/**
 * What was set in an editor lately: a hue survives grey, a chroma the gamut's edge, and a step that is too small for 8
 * bits is known by these values alone.
 */
export class LatelySet {
  /** The newest first: what was made last, and what has been shown since. */
  private all: readonly SetValues[] = [];
  /** Before what is being dragged, which may be given back. */
  private before: readonly SetValues[] | null = null;
  private readonly listeners = new Set<() => void>();

  get isEmpty(): boolean {
    return this.all.length === 0;
  }

  readonly subscribe = (listen: () => void): (() => void) => {
    this.listeners.add(listen);
    return () => void this.listeners.delete(listen);
  };

  /** The values that a colour was set by in a model; null where it came from elsewhere. */
  valuesOf(model: string, [r, g, b]: Readonly<Triple>): readonly number[] | null {
    const set = this.all.find(
      (one) => one.model === model && one.rgb[0] === r && one.rgb[1] === g && one.rgb[2] === b,
    );
    return set?.values ?? null;
  }

  /** Remembers what is shown and may be given back, or what is made. */
  put(set: SetValues, final: boolean): void {
    this.before = final ? null : (this.before ?? this.all);
    this.change(final ? [set] : [set, ...this.all.slice(0, REMEMBERED - 1)]);
  }

  giveBack(): void {
    const { before } = this;
    this.before = null;
    if (before) this.change(before);
  }

  private change(all: readonly SetValues[]): void {
    this.all = all;
    for (const listen of [...this.listeners]) listen();
  }
}
