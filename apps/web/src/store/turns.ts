import { afterMoves, type Follower, insteadOfMoves, notAfterMoves } from '../ui/frames.ts';
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

/** Of a frame, ms: so many parts get a turn in it as fit, beside a move and without one. */
const BESIDE_MOVE_MS = 5;
const WITHOUT_MOVE_MS = 10;
/** What a move and a turn in one frame may come to, with everything, ms. */
const TOGETHER_MS = 11;
/** No turn comes to less. */
const LEAST_MS = 0.5;
/** How fast it is believed that a part takes less than was thought, and that it takes more: others may have interfered. */
const LESS = 0.2;
const MORE = 0.1;

const learned = (known: number, now: number) => known + (now - known) * (now < known ? LESS : MORE);

/** What is measured of a frame until it is painted. */
interface Measured {
  readonly begun: number;
  /** Those that had their turns in it. */
  readonly parts: readonly Part[];
  readonly hasMoved: boolean;
}

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
  /** What of a frame with a move, and no turns, comes after the move is drawn, as far as is known, ms. */
  private painting = 0;
  private afterPaint: MessageChannel | null = null;
  private measured: Measured | null = null;
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
      notAfterMoves(this.turn);
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
    if (this.waiting.size) afterMoves(this.turn);
  }

  private give(part: Part): void {
    this.waiting.delete(part);
    part.show(this.seen);
  }

  private readonly turn: Follower = (moved) => {
    const now = performance.now();
    const waited = (part: Part) => now - this.waiting.get(part)!;
    const isHeld = isAnythingHeld();
    const hasMoved = moved !== null;
    const due = [...this.waiting.keys()].filter(
      (part) => !isHeld || waited(part) >= part.every() + (part.isSeen() ? 0 : UNSEEN_MS),
    );
    // By how many of its times it has waited: what is seen does not wait for all that is read.
    const urgency = (part: Part) => waited(part) / (part.every() + FRAME_MS);
    due.sort((a, b) => urgency(b) - urgency(a));
    // What does not fit beside a move has the next frame for itself, and the move after this waits for one.
    const beside = TOGETHER_MS - (moved ?? 0) - this.painting;
    if (hasMoved && due[0] && this.costOf(due[0]) > beside) {
      this.measure({ begun: now, parts: [], hasMoved });
      insteadOfMoves(this.turn);
      return;
    }
    const turns: Part[] = [];
    let left = hasMoved ? Math.min(beside, BESIDE_MOVE_MS) : WITHOUT_MOVE_MS;
    for (const part of due) {
      left -= this.costOf(part);
      if (turns.length && left < 0) break;
      turns.push(part);
    }
    for (const part of turns) this.give(part);
    if (hasMoved || turns.length) this.measure({ begun: now, parts: turns, hasMoved });
    if (this.waiting.size) afterMoves(this.turn);
  };

  private costOf(part: Part): number {
    return this.costs.get(part) ?? BESIDE_MOVE_MS;
  }

  /** Measures what turns, or the rest of a move, come to in a frame. */
  private measure(measured: Measured): void {
    this.measured = measured;
    if (!this.afterPaint) {
      this.afterPaint = new MessageChannel();
      this.afterPaint.port1.onmessage = () => this.learn();
    }
    // A message comes after the frame is painted.
    this.afterPaint.port2.postMessage(null);
  }

  private learn(): void {
    if (!this.measured) return;
    const { begun, parts, hasMoved } = this.measured;
    this.measured = null;
    const all = performance.now() - begun;
    if (!parts.length) {
      this.painting = learned(this.painting, all);
      return;
    }
    // Each its part of it by what was known of it.
    const known = parts.reduce((sum, part) => sum + this.costOf(part), 0);
    const share = Math.max(parts.length * LEAST_MS, all - (hasMoved ? this.painting : 0)) / known;
    for (const part of parts) {
      const now = this.costOf(part) * share;
      this.costs.set(part, this.costs.has(part) ? learned(this.costOf(part), now) : now);
    }
  }
}
