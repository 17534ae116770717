import clsx from 'clsx';
import { type ReactNode, useRef } from 'react';
import { useDrag } from '../../../../ui/use-drag.ts';
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
  /** While it is dragged; null when the drag was called off, and it is where it began. */
  onDrag: (to: Spot | null, began: Spot) => void;
  onMove: (to: Spot) => void;
  onSelect: () => void;
  onLeave?: () => void;
  onRemove?: () => void;
  /** Keys besides those that move and remove; returns whether it did something. */
  onOtherKey?: (key: string) => boolean;
  className?: string;
  children: ReactNode;
}

/** A place in the picture that is moved by dragging and by arrow keys, and removed by Delete. */
export function PlaceHandle(props: PlaceHandleProps) {
  const { view, size, picture, x, y, label, selected = false, under, className, children } = props;
  const [left, top] = toBox(view, size, x + 0.5, y + 0.5);
  const start = useRef<Spot>({ x, y });
  const drag = useDrag({
    grip(element, at) {
      element.focus();
      start.current = { x, y };
      const [px, py] = under({ clientX: at.x, clientY: at.y });
      return { dx: x + 0.5 - px, dy: y + 0.5 - py };
    },
    at({ dx, dy }, to) {
      const [px, py] = under({ clientX: to.x, clientY: to.y });
      return pixelAt(picture, px + dx, py + dy);
    },
    step({ dx, dy, far }, last) {
      if (!last) start.current = { x, y };
      const from = last ?? { x, y };
      const by = far ? 10 : 1;
      return pixelAt(picture, from.x + dx * by, from.y + dy * by);
    },
    same: (a, b) => a.x === b.x && a.y === b.y,
    show: (to) => props.onDrag(to, start.current),
    make: props.onMove,
    says: (to) => `${label.split(/[,:]/)[0]} at ${to.x}, ${to.y}`,
  });
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={selected}
      className={clsx('absolute top-0 left-0 touch-none', className)}
      style={{ transform: `translate(${left}px, ${top}px)` }}
      onFocus={props.onSelect}
      onBlur={() => {
        drag.onBlur();
        props.onLeave?.();
      }}
      {...drag.pointer}
      onKeyDown={(event) => {
        if (drag.onKeyDown(event)) return;
        const { key } = event;
        if ((key === 'Delete' || key === 'Backspace') && props.onRemove) props.onRemove();
        else if (!props.onOtherKey?.(key)) return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      {children}
    </button>
  );
}
