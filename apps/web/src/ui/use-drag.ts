import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { announce } from './announce.ts';
import { notWithNextFrame, withNextFrame } from './frames.ts';
import { type HeldPlace, hold, letGo, useHeldPlace } from './held.ts';
import { KeyRun } from './key-run.ts';

/** Where the pointer counts to be, px of the window: with Shift it moves by a fifth. */
export interface Pointed {
  readonly x: number;
  readonly y: number;
  /** Alt is held down, which keeps values from snapping. */
  readonly free: boolean;
}

/** The way of an arrow key: to the right and down, 1 or −1 each. */
export interface Way {
  readonly dx: number;
  readonly dy: number;
  /** By a larger step. */
  readonly far: boolean;
  /** What has the focus. */
  readonly target: Element;
  readonly ctrl: boolean;
}

/** A thing that is dragged: what is taken hold of, what that comes to, and what becomes of it. */
export interface Drag<Grip, Value> {
  /**
   * What the drag is reckoned from, such as the box of an axis; null where there is nothing to take hold of. `element`
   * is what has the handlers, `target` what in it was pressed.
   */
  readonly grip: (element: HTMLElement | SVGElement, at: Pointed, target: Element) => Grip | null;
  /** What it comes to with the pointer somewhere; null where that is nothing. */
  readonly at: (grip: Grip, to: Pointed) => Value | null;
  /**
   * What an arrow key comes to, after `last` where it is one of a run; null where that is nothing, undefined where it is
   * no key of this.
   */
  readonly step?: (way: Way, last: Value | null) => Value | null | undefined;
  /** Shows a value that is not made yet; null is as it was. */
  readonly show: (value: Value | null) => void;
  readonly make: (value: Value) => void;
  /** It was pressed and let go of, `moved` or not; after `make`. */
  readonly onPress?: (grip: Grip, moved: boolean) => void;
  /** A value in words, for whoever listens. */
  readonly says?: (value: Value) => string;
  readonly same?: (a: Value, b: Value) => boolean;
  /** From how many px on a press is a drag. */
  readonly from?: number;
  /** A press shows a value at once. */
  readonly atOnce?: boolean;
  /** It is dragged by the middle button too. */
  readonly byMiddle?: boolean;
  /** Where the pointer drags it, it is painted apart: the part of the page that it is in need not be drawn with every move. */
  readonly isPainted?: () => boolean;
}

const FINE = 0.2;

const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const MODIFIERS = new Set(['Shift', 'Control', 'Alt', 'Meta']);

interface Held<Grip, Value> {
  readonly pointer: number;
  readonly grip: Grip;
  readonly down: readonly [number, number];
  /** Where the pointer was last, and where it counts to be. */
  last: readonly [number, number];
  counted: readonly [number, number];
  moved: boolean;
  /** Alt was held down with the last move. */
  free: boolean;
  value: Value | null;
}

/** One thing being dragged, or moved by a run of arrow keys. */
class Dragging<Grip, Value> {
  drag: Drag<Grip, Value>;
  private readonly place: HeldPlace | null;
  private held: Held<Grip, Value> | null = null;
  /** The pointer has moved since it was moved. */
  private isBehind = false;
  private readonly run: KeyRun<Value>;

  constructor(drag: Drag<Grip, Value>, place: HeldPlace | null) {
    this.drag = drag;
    this.place = place;
    this.run = new KeyRun((value) => this.make(value), place);
  }

  readonly onPointerDown = (event: PointerEvent<HTMLElement | SVGElement>): void => {
    if (event.button !== 0 && !(event.button === 1 && this.drag.byMiddle)) return;
    // A second finger changes nothing.
    if (this.held) {
      event.stopPropagation();
      return;
    }
    this.run.finish();
    const down = [event.clientX, event.clientY] as const;
    const at = { x: down[0], y: down[1], free: event.altKey };
    const grip = this.drag.grip(event.currentTarget, at, event.target as Element);
    if (grip === null) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    this.held = {
      pointer: event.pointerId,
      grip,
      down,
      last: down,
      counted: down,
      moved: event.button === 1,
      free: event.altKey,
      value: null,
    };
    hold(this, this.drag.isPainted?.() ? null : this.place);
    addEventListener('keydown', this.onEscape, true);
    if (this.drag.atOnce) this.moveTo(this.held);
  };

  /** Returns whether the pointer holds this. */
  readonly onPointerMove = (event: PointerEvent): boolean => {
    const { held } = this;
    if (held?.pointer !== event.pointerId) return false;
    event.stopPropagation();
    const by = event.shiftKey ? FINE : 1;
    const { counted, last, down } = held;
    held.counted = [counted[0] + (event.clientX - last[0]) * by, counted[1] + (event.clientY - last[1]) * by];
    held.last = [event.clientX, event.clientY];
    if (!held.moved) {
      const far = Math.hypot(event.clientX - down[0], event.clientY - down[1]);
      if (far < (this.drag.from ?? 0)) return true;
    }
    held.free = event.altKey;
    this.isBehind = true;
    withNextFrame(this.catchUp);
    return true;
  };

  readonly onPointerUp = (event: PointerEvent): void => {
    const { held } = this;
    if (held?.pointer !== event.pointerId) return;
    event.stopPropagation();
    this.catchUp();
    this.letGo();
    if (held.value !== null) this.make(held.value);
    this.drag.onPress?.(held.grip, held.moved);
  };

  /** The system takes the pointer away. */
  readonly onPointerCancel = (event: PointerEvent): void => {
    if (this.held?.pointer === event.pointerId) this.giveBack();
  };

  /** Returns whether it was a key of this. */
  readonly onKeyDown = (event: KeyboardEvent<HTMLElement | SVGElement>): boolean => {
    if (event.key === 'Escape' && (this.held || this.run.value !== null)) {
      this.giveBack();
      this.taken(event);
      return true;
    }
    const way = event.altKey || event.metaKey ? undefined : WAYS[event.key];
    const value =
      way &&
      this.drag.step?.(
        { dx: way[0], dy: way[1], far: event.shiftKey, ctrl: event.ctrlKey, target: event.target as Element },
        this.run.value,
      );
    if (value === undefined) {
      // Undo and all else come after what was pressed before.
      if (!MODIFIERS.has(event.key)) this.run.finish();
      return false;
    }
    this.taken(event);
    if (value === null) return true;
    this.run.goOn(value, event.currentTarget);
    this.drag.show(value);
    return true;
  };

  /** Makes what a run of keys has come to. */
  readonly finish = (): void => this.run.finish();

  private readonly onEscape = (event: globalThis.KeyboardEvent): void => {
    if (event.key !== 'Escape' || !this.held) return;
    event.preventDefault();
    event.stopPropagation();
    this.giveBack();
  };

  readonly isHeld = (): boolean => this.held !== null;

  /** Moves it to where the pointer is by now. */
  private readonly catchUp = (): void => {
    if (this.held && this.isBehind) this.moveTo(this.held);
  };

  private moveTo(held: Held<Grip, Value>): void {
    this.isBehind = false;
    const [x, y] = held.counted;
    const value = this.drag.at(held.grip, { x, y, free: held.free });
    held.moved = true;
    if (value === null || (held.value !== null && (this.drag.same ?? Object.is)(value, held.value))) return;
    held.value = value;
    this.drag.show(value);
  }

  private make(value: Value): void {
    this.drag.make(value);
    if (this.drag.says) announce(this.drag.says(value));
  }

  /** As if it had not been touched. */
  private giveBack(): void {
    const any = this.run.value !== null || (this.held !== null && this.held.value !== null);
    this.letGo();
    this.run.drop();
    if (!any) return;
    this.drag.show(null);
    announce('Back to where it was');
  }

  private letGo(): void {
    this.held = null;
    this.isBehind = false;
    notWithNextFrame(this.catchUp);
    letGo(this);
    removeEventListener('keydown', this.onEscape, true);
  }

  private taken(event: KeyboardEvent): void {
    event.preventDefault();
    event.stopPropagation();
  }

  /** It is gone: what keys have come to is made, what a pointer holds is not. */
  leave(): void {
    this.finish();
    if (this.held) this.giveBack();
  }
}

/**
 * The one way to drag: by pointer or touch, by one of them at a time, finely with Shift, given back with Escape; and by
 * arrow keys, of which a run is one edit. What is dragged says `touch-action: none` by itself.
 *
 * @returns handlers for the element; `onKeyDown` tells whether the key was one of this
 */
export function useDrag<Grip, Value>(drag: Drag<Grip, Value>) {
  const place = useHeldPlace();
  const [dragging] = useState(() => new Dragging(drag, place));
  dragging.drag = drag;
  const leaving = useRef(dragging);
  useEffect(() => {
    const { current } = leaving;
    return () => current.leave();
  }, []);
  const { onPointerDown, onPointerMove, onPointerUp, onPointerCancel, onKeyDown, finish } = dragging;
  return {
    /** For what is dragged by pointer alone. */
    pointer: {
      onPointerDown,
      onPointerMove,
      onPointerUp,
      onPointerCancel,
      onLostPointerCapture: onPointerCancel,
    },
    onKeyDown,
    onBlur: finish,
    isHeld: dragging.isHeld,
  };
}

/** The share of an element's width that a place lies at, 0–1 within it. */
export const shareAcross = ({ left, width }: Pick<DOMRect, 'left' | 'width'>, { x }: Pointed): number =>
  (x - left) / width;

/** The box of the axis that an element stands on. */
export const axisOf = (element: Element): DOMRect => element.closest('[data-axis]')!.getBoundingClientRect();
