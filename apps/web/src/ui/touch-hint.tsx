import { useEffect, useState } from 'react';

/** How long a finger rests before it is told, px that it may tremble meanwhile, and how long it stays. */
const HELD_MS = 500;
const SLOP = 10;
const SHOWN_MS = 6000;
/** Px from the edges of the window, and between a thing and what is told of it. */
const MARGIN = 8;
const WIDEST = 288;

interface Told {
  readonly text: string;
  readonly x: number;
  readonly above: number;
  readonly below: number;
}

/** What hovering tells of a thing; where a long press does something of its own, or marks text, nothing. */
function hintAt(target: EventTarget | null): { element: Element; text: string } | null {
  if (!(target instanceof Element) || target.closest('input, textarea, select, [data-long-press]'))
    return null;
  const element = target.closest<HTMLElement>('[data-hint], [title]');
  const text = element && (element.dataset.hint ?? element.title);
  return element && text ? { element, text } : null;
}

/**
 * A long press tells what hovering tells, and presses nothing then. It stays until the next press.
 * @public Found by its file.
 */
export default function TouchHint() {
  const [told, setTold] = useState<Told | null>(null);
  useEffect(() => {
    let from: { x: number; y: number } | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let hiding: ReturnType<typeof setTimeout> | undefined;
    let hasTold = false;
    const rest = () => clearTimeout(timer);
    const hide = () => {
      clearTimeout(hiding);
      setTold(null);
    };
    const onDown = ({ pointerType, isPrimary, target, clientX: x, clientY: y }: PointerEvent) => {
      rest();
      hide();
      hasTold = false;
      const hint = pointerType === 'touch' && isPrimary ? hintAt(target) : null;
      from = hint && { x, y };
      if (!hint) return;
      timer = setTimeout(() => {
        hasTold = true;
        const { left, right, top, bottom } = hint.element.getBoundingClientRect();
        setTold({ text: hint.text, x: (left + right) / 2, above: top, below: bottom });
        hiding = setTimeout(hide, SHOWN_MS);
      }, HELD_MS);
    };
    const onMove = ({ clientX, clientY }: PointerEvent) => {
      if (!from || Math.hypot(clientX - from.x, clientY - from.y) <= SLOP) return;
      from = null;
      rest();
      hide();
    };
    // What was asked about is not pressed too, and the browser's own menu stays away from it.
    const onClick = (event: MouseEvent) => {
      if (!hasTold) return;
      hasTold = false;
      event.preventDefault();
      event.stopPropagation();
    };
    const onMenu = (event: Event) => {
      if (hasTold) event.preventDefault();
    };
    const listening = new AbortController();
    const options = { capture: true, signal: listening.signal };
    addEventListener('pointerdown', onDown, options);
    addEventListener('pointermove', onMove, options);
    addEventListener('pointerup', rest, options);
    addEventListener('pointercancel', rest, options);
    addEventListener('click', onClick, options);
    addEventListener('contextmenu', onMenu, options);
    return () => {
      listening.abort();
      rest();
      clearTimeout(hiding);
    };
  }, []);
  if (!told) return null;
  const half = Math.min(WIDEST, innerWidth - 2 * MARGIN) / 2;
  const x = Math.min(Math.max(told.x, half + MARGIN), innerWidth - half - MARGIN);
  const isBelow = told.above < 80;
  return (
    <div
      role="tooltip"
      className="pointer-events-none fixed z-50 -translate-x-1/2 rounded-md bg-main px-2 py-1 text-sm whitespace-pre-line text-inverse"
      style={{
        left: x,
        maxWidth: 2 * half,
        ...(isBelow ? { top: told.below + MARGIN } : { bottom: innerHeight - told.above + MARGIN }),
      }}
    >
      {told.text}
    </div>
  );
}
