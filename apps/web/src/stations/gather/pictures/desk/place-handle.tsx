import clsx from 'clsx';
import { type KeyboardEvent, type ReactNode, useRef } from 'react';
import { type DeskView, pixelAt, type Size, toBox } from './view.ts';

interface Spot {
  readonly x: number;
  readonly y: number;
}

interface PlaceHandleProps extends Spot {
  view: DeskView;
  size: Size;
  picture: Size;
  label: string;
  selected?: boolean;
  under: (event: { readonly clientX: number; readonly clientY: number }) => [number, number];
  /** While it is dragged; null when the drag was called off. */
  onDrag: (to: Spot | null) => void;
  onMove: (to: Spot) => void;
  onSelect: () => void;
  onLeave?: () => void;
  onRemove?: () => void;
  /** Keys besides those that move and remove; returns whether it did something. */
  onOtherKey?: (key: string) => boolean;
  className?: string;
  children: ReactNode;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The way that an arrow key goes, in px: 1, or 10 with Shift; null for other keys. */
export function arrowStep({
  key,
  shiftKey,
}: Pick<KeyboardEvent, 'key' | 'shiftKey'>): [number, number] | null {
  const arrow = ARROWS[key];
  if (!arrow) return null;
  const far = shiftKey ? 10 : 1;
  return [arrow[0] * far, arrow[1] * far];
}

/** A place in the picture that is moved by dragging and by arrow keys, and removed by Delete. */
export function PlaceHandle(props: PlaceHandleProps) {
  const { view, size, picture, x, y, label, selected = false, under, className, children } = props;
  const drag = useRef<{ dx: number; dy: number; to: Spot | null } | null>(null);
  const [left, top] = toBox(view, size, x + 0.5, y + 0.5);
  const giveUp = () => {
    if (drag.current?.to) props.onDrag(null);
    drag.current = null;
  };
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={selected}
      className={clsx('absolute top-0 left-0 touch-none', className)}
      style={{ transform: `translate(${left}px, ${top}px)` }}
      onFocus={props.onSelect}
      onBlur={() => {
        giveUp();
        props.onLeave?.();
      }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.currentTarget.focus();
        event.currentTarget.setPointerCapture(event.pointerId);
        const [px, py] = under(event);
        drag.current = { dx: x + 0.5 - px, dy: y + 0.5 - py, to: null };
      }}
      onPointerMove={(event) => {
        if (!drag.current) return;
        event.stopPropagation();
        const [px, py] = under(event);
        const to = pixelAt(picture, px + drag.current.dx, py + drag.current.dy);
        if (to.x === (drag.current.to ?? { x }).x && to.y === (drag.current.to ?? { y }).y) return;
        drag.current.to = to;
        props.onDrag(to);
      }}
      onPointerUp={(event) => {
        event.stopPropagation();
        const to = drag.current?.to;
        drag.current = null;
        if (to) props.onMove(to);
      }}
      onPointerCancel={giveUp}
      onKeyDown={(event) => {
        const step = arrowStep(event);
        const { key } = event;
        if (key === 'Escape' && drag.current) giveUp();
        else if (step) props.onMove(pixelAt(picture, x + step[0], y + step[1]));
        else if ((key === 'Delete' || key === 'Backspace') && props.onRemove) props.onRemove();
        else if (!props.onOtherKey?.(key)) return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      {children}
    </button>
  );
}
