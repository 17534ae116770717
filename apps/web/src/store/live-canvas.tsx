import { type RefObject, useRef } from 'react';
import type { AppState } from './store.ts';
import { useLive } from './use-live.ts';

interface LiveCanvasProps<Thing extends object, Look> {
  /** What stands there while nothing moves, and is not seen while it is painted. */
  standing: RefObject<HTMLElement | null>;
  /** What is painted reaches beyond what it is in by so much, px. */
  beyond: { readonly x: number; readonly y: number };
  /** What is to be painted, as it is shown and as it is without the gesture. */
  find: (state: AppState) => { readonly now: Thing | undefined; readonly settled: Thing | undefined };
  /** What it looks like here and now, asked for once for each drag. */
  lookOf: (box: HTMLElement, standing: HTMLElement) => Look;
  /** Paints it over what it was painted as `before`; null where the canvas is empty. */
  paint: (context: CanvasRenderingContext2D, look: Look, now: Thing, before: Thing | null) => void;
}

/**
 * A canvas over what it is in, on which something is painted with every move of what is dragged, once it moves itself;
 * the elements follow when it is their turn.
 */
export function LiveCanvas<Thing extends object, Look>(props: LiveCanvasProps<Thing, Look>) {
  const { standing, beyond, find, lookOf, paint } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const painting = useRef<{ readonly look: Look; last: Thing | null } | null>(null);
  const begin = () => {
    const element = canvas.current!;
    const box = element.parentElement!;
    const look = lookOf(box, standing.current!);
    element.width = Math.round((box.clientWidth + 2 * beyond.x) * devicePixelRatio);
    element.height = Math.round((box.clientHeight + 2 * beyond.y) * devicePixelRatio);
    const context = element.getContext('2d')!;
    context.scale(devicePixelRatio, devicePixelRatio);
    context.translate(beyond.x, beyond.y);
    element.hidden = false;
    standing.current!.style.opacity = '0';
    return { look, last: null };
  };
  const end = () => {
    if (!painting.current) return;
    painting.current = null;
    // Both may have gone while it was dragged.
    if (canvas.current) canvas.current.hidden = true;
    if (standing.current) standing.current.style.opacity = '';
  };
  useLive((state) => {
    const { now, settled } = state ? find(state) : { now: undefined, settled: undefined };
    if (!now || !(now !== settled || painting.current)) {
      end();
      return;
    }
    painting.current ??= begin();
    if (painting.current.last === now) return;
    const { look, last } = painting.current;
    painting.current.last = now;
    paint(canvas.current!.getContext('2d')!, look, now, last);
  });
  return (
    <canvas
      ref={canvas}
      hidden
      aria-hidden
      className="pointer-events-none absolute"
      style={{
        left: -beyond.x,
        top: -beyond.y,
        width: `calc(100% + ${2 * beyond.x}px)`,
        height: `calc(100% + ${2 * beyond.y}px)`,
      }}
    />
  );
}
