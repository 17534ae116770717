import { type HeldPlace, isAnythingHeld, isHeldIn } from '../ui/held.ts';
import type { AppState, AppStore } from './store.ts';

/** A part of the page that is drawn in turn. */
export interface Part {
  readonly place: HeldPlace;
  /** Ms between two of its turns, at least. */
  readonly every: () => number;
  /** Whether it can be seen: what cannot waits longer. */
  readonly isSeen: () => boolean;
  /** Shows it the state as it is. */
  readonly show: (state: AppState) => void;
}

/** Of a frame, ms: so many parts get a turn in it as fit, and one in any case. */
const FOR_TURNS_MS = 5;
/** How fast it is believed that a part takes less than was thought, and that it takes more: others may have interfered. */
const LESS = 0.5;
const MORE = 0.1;

const FRAME_MS = 16;
/** What is out of sight waits so much longer, ms: it is read by others than the eye. */
const UNSEEN_MS = 600;

/** Whether a state is another for nothing but a gesture that goes on. */
function isOnlyMoved(before: AppState, now: AppState): boolean {
  if (!now.project?.gesture || !before.project) return false;
  for (const key of Object.keys(now) as (keyof AppState)[])
    if (key !== 'project' && now[key] !== before[key]) return false;
  return now.project.document === before.project.document;
}

/**
 * Whose turn it is while something is dragged. The part of the page in which it is dragged is drawn with every move;
 * the others one after the other, as many in a frame as it has time for, the most urgent first. Whatever is no move
 * of a drag, its end too, is shown by all at once.
 */
export class Turns {
  private readonly store: AppStore;
  private readonly parts = new Set<Part>();
  /** Parts that show an older state, and since when. */
  private readonly waiting = new Map<Part, number>();
  /** What a turn of each comes to, with everything until it is painted, ms. */
  private readonly costs = new Map<Part, number>();
  private seen: AppState;
  private frame = 0;
  /** What the part in which it is dragged has taken since the last frame, ms. */
  private own = 0;
  /** Whether that was so much that the last frame had no turns. */
  private hasPassed = false;
  private afterPaint: MessageChannel | null = null;
  private measured: { readonly begun: number; readonly parts: readonly Part[] } | null = null;
  private stop: (() => void) | null = null;

  constructor(store: AppStore) {
    this.store = store;
    this.seen = store.getState();
  }

  join(part: Part): () => void {
    if (!this.parts.size) {
      this.seen = this.store.getState();
      this.stop = this.store.subscribe(() => this.changed());
    }
    this.parts.add(part);
    return () => {
      this.parts.delete(part);
      this.waiting.delete(part);
      this.costs.delete(part);
      if (this.parts.size) return;
      this.stop?.();
      cancelAnimationFrame(this.frame);
      this.frame = 0;
    };
  }

  private changed(): void {
    const state = this.store.getState();
    if (state === this.seen) return;
    const waits = isAnythingHeld() && isOnlyMoved(this.seen, state);
    this.seen = state;
    const now = performance.now();
    for (const part of this.parts)
      if (!waits || isHeldIn(part.place)) this.give(part);
      else if (!this.waiting.has(part)) this.waiting.set(part, now);
    this.measureOwn(now);
    if (this.waiting.size && !this.frame) this.frame = requestAnimationFrame(this.turn);
  }

  /** Measures what is drawn at once: some of it by now, the rest before anything else comes. */
  private measureOwn(begun: number): void {
    const shown = performance.now();
    this.own += shown - begun;
    queueMicrotask(() => {
      this.own += performance.now() - shown;
    });
  }

  private give(part: Part): void {
    this.waiting.delete(part);
    part.show(this.seen);
  }

  private readonly turn = (): void => {
    this.frame = 0;
    const now = performance.now();
    const waited = (part: Part) => now - this.waiting.get(part)!;
    const isHeld = isAnythingHeld();
    const isFull = this.own > FOR_TURNS_MS;
    this.own = 0;
    // A move that takes long has its frame for itself, but not every one: others would stand still.
    if (isHeld && isFull && !this.hasPassed) {
      this.hasPassed = true;
      this.frame = requestAnimationFrame(this.turn);
      return;
    }
    this.hasPassed = false;
    const due = [...this.waiting.keys()].filter(
      (part) => !isHeld || waited(part) >= part.every() + (part.isSeen() ? 0 : UNSEEN_MS),
    );
    // By how many of its times it has waited: what is seen does not wait for all that is read.
    const urgency = (part: Part) => waited(part) / (part.every() + FRAME_MS);
    due.sort((a, b) => urgency(b) - urgency(a));
    const turns: Part[] = [];
    let left = FOR_TURNS_MS;
    for (const part of due) {
      left -= this.costs.get(part) ?? FOR_TURNS_MS;
      if (turns.length && left < 0) break;
      turns.push(part);
    }
    for (const part of turns) this.give(part);
    if (turns.length) this.measure(now, turns);
    if (this.waiting.size) this.frame = requestAnimationFrame(this.turn);
  };

  /** Measures what turns come to in a frame that begins now. */
  private measure(begun: number, parts: readonly Part[]): void {
    this.measured = { begun, parts };
    if (!this.afterPaint) {
      this.afterPaint = new MessageChannel();
      this.afterPaint.port1.onmessage = () => this.learn();
    }
    // A message comes after the frame is painted.
    this.afterPaint.port2.postMessage(null);
  }

  private learn(): void {
    if (!this.measured) return;
    const { begun, parts } = this.measured;
    const each = (performance.now() - begun) / parts.length;
    for (const part of parts) {
      const known = this.costs.get(part) ?? each;
      this.costs.set(part, known + (each - known) * (each < known ? LESS : MORE));
    }
  }
}
