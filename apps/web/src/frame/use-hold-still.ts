import { useEffect } from 'react';
import { useStore } from 'react-redux';
import type { AppStore } from '../store/store.ts';

/** For so long what somebody else's edit comes to may be drawn bit by bit, ms. */
const HOLD_MS = 1000;

/** What scrolls, beside each other. */
const SCROLLERS = '#station, #lamp';

interface Held {
  readonly element: Element;
  readonly scroller: HTMLElement;
  readonly top: number;
}

/** What somebody has in hand: what the pointer is over, else what has the focus, else what is open. */
function inHand(pointer: { readonly x: number; readonly y: number } | null): Element | null {
  const under = pointer && document.elementFromPoint(pointer.x, pointer.y);
  if (under?.closest(SCROLLERS)) return under;
  const { activeElement } = document;
  if (activeElement?.closest(SCROLLERS) && !activeElement.matches(SCROLLERS)) return activeElement;
  return document.querySelector(`:is(${SCROLLERS}) :is([aria-current="true"], [aria-selected="true"])`);
}

/**
 * Keeps what one has in hand where it is while edits of others come in: what they put above it scrolls by as much. Ends
 * with whatever one does oneself.
 */
export function useHoldStill(): void {
  const store = useStore() as AppStore;
  useEffect(() => {
    let pointer: { x: number; y: number } | null = null;
    let held: Held | null = null;
    let frame = 0;
    let until = 0;
    const end = () => {
      held?.scroller.style.removeProperty('overflow-anchor');
      held = null;
      cancelAnimationFrame(frame);
    };
    const keep = () => {
      if (!held) return;
      const { element, scroller, top } = held;
      // What others have taken away is held no more.
      if (!element.isConnected) return end();
      const moved = element.getBoundingClientRect().top - top;
      if (Math.abs(moved) >= 1) scroller.scrollTop += moved;
      // However long the drawing of it took, it is put right once.
      if (performance.now() > until) return end();
      frame = requestAnimationFrame(keep);
    };
    const hold = () => {
      until = performance.now() + HOLD_MS;
      if (held) return;
      const element = inHand(pointer);
      const scroller = element?.closest<HTMLElement>(SCROLLERS);
      if (!element || !scroller) return;
      held = { element, scroller, top: element.getBoundingClientRect().top };
      // The browser's own way of it would count the same twice.
      scroller.style.setProperty('overflow-anchor', 'none');
      frame = requestAnimationFrame(keep);
    };
    let { project } = store.getState();
    const unsubscribe = store.subscribe(() => {
      const before = project;
      ({ project } = store.getState());
      if (project === before || !project || project.id !== before?.id) return;
      // Somebody else's: the document is another one, though nothing was done here.
      if (project.document !== before.document && project.edits === before.edits) hold();
      else if (project.edits !== before.edits) end();
    });
    const move = ({ clientX: x, clientY: y }: PointerEvent) => {
      pointer = { x, y };
      // What is held stays where it was, under a hand that has gone on to something else.
      if (held && !held.element.matches(':hover')) end();
    };
    const leave = () => {
      pointer = null;
    };
    const byKey = () => {
      pointer = null;
      end();
    };
    addEventListener('pointermove', move, { passive: true });
    addEventListener('keydown', byKey, true);
    for (const what of ['pointerdown', 'wheel', 'touchmove'])
      addEventListener(what, end, { passive: true, capture: true });
    document.documentElement.addEventListener('pointerleave', leave);
    return () => {
      end();
      unsubscribe();
      removeEventListener('pointermove', move);
      removeEventListener('keydown', byKey, true);
      for (const what of ['pointerdown', 'wheel', 'touchmove'])
        removeEventListener(what, end, { capture: true });
      document.documentElement.removeEventListener('pointerleave', leave);
    };
  }, [store]);
}
