import { useEffect } from 'react';

/** No text fields: undo and single keys would mean something else all at once; and nothing that the focus alone switches. */
const FOCUSABLE =
  'button:not(:disabled, [data-help-open], [role=radio]), a[href], input[type=checkbox]:not(:disabled), summary, [tabindex="0"]:not([role=radio])';

/** An element that had the focus or was around it, and what stood beside it. */
interface Place {
  readonly node: Element;
  readonly next: Element | null;
  readonly previous: Element | null;
}

/** Ms after which it is looked once more, for what goes later than the press: a dialog, an answer of the server. */
const LOOKS_MS = [0, 60, 250, 700];

const trailOf = (target: Element): Place[] => {
  const trail: Place[] = [];
  for (let node: Element | null = target; node && node !== document.body; node = node.parentElement)
    trail.push({ node, next: node.nextElementSibling, previous: node.previousElementSibling });
  return trail;
};

const isSeen = (element: HTMLElement) => element.checkVisibility?.() !== false && !element.closest('[inert]');

function firstIn(place: Element | null, last = false): HTMLElement | null {
  if (!place?.isConnected) return null;
  if (place.matches(FOCUSABLE) && isSeen(place as HTMLElement)) return place as HTMLElement;
  const all = [...place.querySelectorAll<HTMLElement>(FOCUSABLE)].filter(isSeen);
  return (last ? all.at(-1) : all[0]) ?? null;
}

/** Where the focus goes on when what had it is gone: to what stood after it, before it, or to what was around it. */
function nextPlace(trail: readonly Place[]): HTMLElement | null {
  for (const [i, { node }] of trail.entries()) {
    if (!node.isConnected) continue;
    // Another view has come as a whole: one goes on at its beginning.
    if (node.parentElement?.id === 'station') return node.parentElement;
    const gone = trail[i - 1];
    const beside = gone && (firstIn(gone.next) ?? firstIn(gone.previous, true));
    const found = beside ?? firstIn(node);
    if (found) return found;
  }
  return null;
}

/**
 * After a press that takes away what had the focus, it is where one goes on, and never on the page as a whole: a deleted
 * thing leaves it to the next, a bar that is done with to what it was about.
 */
export function useFocusKept(): void {
  useEffect(() => {
    let trail: readonly Place[] = [];
    const timers = new Set<number>();
    const look = () => {
      const isLost = document.activeElement === null || document.activeElement === document.body;
      const [had] = trail;
      if (!isLost || !had || had.node.isConnected) return;
      const next = nextPlace(trail);
      if (!next) return;
      next.focus({ preventScroll: true });
      // What comes up late in its place may have it instead.
      next.dataset.keptFocus = '';
      next.addEventListener('blur', () => delete next.dataset.keptFocus, { once: true });
    };
    const onFocus = ({ target }: FocusEvent) => {
      if (target instanceof Element) trail = trailOf(target);
    };
    // The trail is taken anew just before something is done: what stands beside may be another by now.
    const onDone = () => {
      const { activeElement } = document;
      if (activeElement && activeElement !== document.body) trail = trailOf(activeElement);
      for (const ms of LOOKS_MS) {
        const timer = window.setTimeout(() => {
          timers.delete(timer);
          look();
        }, ms);
        timers.add(timer);
      }
    };
    addEventListener('focusin', onFocus);
    addEventListener('click', onDone, true);
    addEventListener('keydown', onDone, true);
    return () => {
      removeEventListener('focusin', onFocus);
      removeEventListener('click', onDone, true);
      removeEventListener('keydown', onDone, true);
      for (const timer of timers) clearTimeout(timer);
    };
  }, []);
}
