import { type HeldPlace, hold, letGo } from './held.ts';

/** Presses of keys within so many ms of each other are one edit, with one undo. */
const TOGETHER_MS = 700;

/** Runs that are not made yet. */
const going = new Set<{ readonly finish: () => void }>();

/** Makes what keys have come to anywhere: before what they change is left, by the way back as by a link. */
export function finishKeyRuns(): void {
  for (const run of [...going]) run.finish();
}

/**
 * What presses of keys have come to that are not made yet: it is made when they rest, or when anything else is done. The
 * element that they move says so with `data-run`.
 */
export class KeyRun<Value> {
  /** How it is made. */
  make: (value: Value) => void;
  private readonly place: HeldPlace | null;
  private run: { value: Value; readonly element: HTMLElement | SVGElement } | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(make: (value: Value) => void, place: HeldPlace | null) {
    this.make = make;
    this.place = place;
  }

  /** What the presses have come to; null where there are none. */
  get value(): Value | null {
    return this.run?.value ?? null;
  }

  goOn(value: Value, element: HTMLElement | SVGElement): void {
    if (this.run) this.run.value = value;
    else {
      this.run = { value, element };
      element.dataset.run = '';
      going.add(this);
      hold(this, this.place);
      addEventListener('pagehide', this.finish);
    }
    clearTimeout(this.timer);
    this.timer = setTimeout(this.finish, TOGETHER_MS);
  }

  readonly finish = (): void => {
    const { run } = this;
    if (!run) return;
    this.drop();
    this.make(run.value);
  };

  /** Forgets what the presses have come to. */
  drop(): void {
    clearTimeout(this.timer);
    removeEventListener('pagehide', this.finish);
    if (this.run) delete this.run.element.dataset.run;
    this.run = null;
    going.delete(this);
    letGo(this);
  }
}
