import type { AreaSide } from '@mint-lamp/core/document/pictures/picture';
import { type ReactNode, useEffect, useRef } from 'react';
import { useDrag } from '../../../../ui/use-drag.ts';
import { arrowStep } from './arrow-step.ts';
import { sideByKey } from './sides.ts';
import { type DeskViewing, placeIn } from './use-desk-view.ts';
import { pixelAt, type Size } from './view.ts';

export interface Spot {
  readonly x: number;
  readonly y: number;
}

interface SurfaceProps {
  picture: Size & { readonly name: string };
  viewing: DeskViewing;
  side: AreaSide;
  onAim: (place: Spot | null) => void;
  onSide: (side: AreaSide) => void;
  onTake: (place: Spot) => void;
  /** What lies behind the part that is pressed, and over it. */
  behind: ReactNode;
  children: ReactNode;
}

/** CSS px after which a press is a drag. */
const DRAG = 4;
const STEP = 60;
const ZOOM = 1.25;

/** Whether a wheel turns in lines, as those of mice do in some browsers; a line is about so many px. */
const linesToPx = (event: WheelEvent) => (event.deltaMode === WheelEvent.DOM_DELTA_LINE ? 16 : 1);

/**
 * The picture as it is worked on: aimed at by pointer or arrow keys, pressed to take a marker, dragged to move it,
 * turned with the wheel to come nearer.
 */
export function Surface(props: SurfaceProps) {
  const { picture, viewing, side, onAim, onSide, onTake, behind, children } = props;
  const { box, view, zoom, move } = viewing;
  const last = useRef<Spot | null>(null);
  /** How far the picture was moved by the drag that is under way. */
  const moved = useRef<{ readonly dx: number; readonly dy: number } | null>(null);
  useEffect(() => {
    const element = box.current!;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const by = linesToPx(event);
      if (event.shiftKey || event.altKey) {
        const [dx, dy] = [
          event.deltaX || (event.shiftKey ? event.deltaY : 0),
          event.shiftKey ? 0 : event.deltaY,
        ];
        move(-dx * by, -dy * by);
        return;
      }
      // Pinching on a pad comes as a wheel with Ctrl, in small steps.
      const factor = Math.exp(-event.deltaY * by * (event.ctrlKey ? 0.01 : 0.0016));
      zoom(factor, ...placeIn(element, event.clientX, event.clientY));
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [box, zoom, move]);
  const aim = (to: Spot) => {
    last.current = to;
    onAim(to);
  };
  const atPointer = (event: { clientX: number; clientY: number }) =>
    pixelAt(picture, ...viewing.under(event));
  // A press takes what is there; a drag moves the picture under the pointer.
  const drag = useDrag({
    grip(_, at) {
      moved.current = null;
      return { begun: at, last: at };
    },
    at(grip, to) {
      const { last, begun } = grip;
      grip.last = to;
      return { dx: to.x - last.x, dy: to.y - last.y, all: { dx: to.x - begun.x, dy: to.y - begun.y } };
    },
    from: DRAG,
    byMiddle: true,
    show(by) {
      onAim(null);
      if (by) move(by.dx, by.dy);
      else if (moved.current) move(-moved.current.dx, -moved.current.dy);
      moved.current = by?.all ?? null;
    },
    make: () => {},
    onPress({ last: { x, y } }, isMoved) {
      const to = atPointer({ clientX: x, clientY: y });
      aim(to);
      if (!isMoved) onTake(to);
    },
  });
  const here = () => last.current ?? pixelAt(picture, view.cx, view.cy);
  const keys = new Map<string, () => void>([
    ['Enter', () => onTake(here())],
    [' ', () => onTake(here())],
    ['+', () => zoom(ZOOM)],
    ['=', () => zoom(ZOOM)],
    ['-', () => zoom(1 / ZOOM)],
    ['0', viewing.fit],
    ['PageUp', () => move(0, STEP * 4)],
    ['PageDown', () => move(0, -STEP * 4)],
  ]);
  return (
    <div
      ref={box}
      className="relative min-h-0 min-w-0 flex-1 overflow-hidden rounded-md border border-hair bg-sunken"
    >
      {behind}
      <div
        role="application"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: it is worked on with arrow keys
        tabIndex={0}
        aria-label={`The picture ${picture.name}`}
        aria-describedby="desk-keys"
        className="absolute inset-0 cursor-crosshair touch-none -outline-offset-2"
        onFocus={(event) => {
          if (event.currentTarget.matches(':focus-visible')) aim(here());
        }}
        onBlur={() => onAim(null)}
        {...drag.pointer}
        onPointerMove={(event) => {
          if (!drag.pointer.onPointerMove(event)) aim(atPointer(event));
        }}
        onPointerLeave={() => {
          if (!drag.isHeld()) onAim(null);
        }}
        onKeyDown={(event) => {
          if (event.ctrlKey || event.metaKey) return;
          const step = arrowStep(event);
          const nextSide = sideByKey(side, event.key);
          if (step && event.altKey) move(-step[0] * STEP, -step[1] * STEP);
          else if (step) {
            const from = here();
            const to = pixelAt(picture, from.x + step[0], from.y + step[1]);
            aim(to);
            viewing.reveal(to.x, to.y);
          } else if (nextSide !== null) onSide(nextSide);
          else if (keys.has(event.key)) keys.get(event.key)!();
          else return;
          event.preventDefault();
          event.stopPropagation();
        }}
      />
      {children}
    </div>
  );
}
