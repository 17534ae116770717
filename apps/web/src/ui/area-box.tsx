import type { Area } from '@mint-lamp/core/gradient/area';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';

interface AreaBoxProps {
  area: Area;
  /** What it lies within, px of its own, and px of the screen to one of them. */
  width: number;
  height: number;
  scale: number;
  label: string;
  describedBy: string;
  /** Shows it elsewhere while it is dragged. */
  onLook: (area: Area) => void;
  onSet: (area: Area) => void;
  onGiveUp: () => void;
}

/** An area brought within a whole: as large as it is where it fits, at least one px. */
function within(area: Area, width: number, height: number): Area {
  const held = (v: number, most: number) => clamp(Math.round(v), 0, most);
  const size = {
    width: Math.max(1, held(area.width, width)),
    height: Math.max(1, held(area.height, height)),
  };
  return { ...size, x: held(area.x, width - size.width), y: held(area.y, height - size.height) };
}

/** An area that is dragged about and by its corner; arrow keys move it, with Ctrl they size it, with Shift by more. */
export function AreaBox(props: AreaBoxProps) {
  const { area, width, height, scale, label, describedBy, onLook, onSet, onGiveUp } = props;
  const drag = useRef<{ x: number; y: number; from: Area; sizing: boolean; to: Area | null } | null>(null);
  const put = (next: Area) => within(next, width, height);
  const begin = (event: PointerEvent<HTMLElement>, sizing: boolean) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, from: area, sizing, to: null };
  };
  const go = (event: PointerEvent<HTMLElement>) => {
    const now = drag.current;
    if (!now) return;
    event.stopPropagation();
    const [dx, dy] = [(event.clientX - now.x) / scale, (event.clientY - now.y) / scale];
    const { from } = now;
    now.to = now.sizing
      ? {
          ...from,
          width: clamp(from.width + dx, 1, width - from.x),
          height: clamp(from.height + dy, 1, height - from.y),
        }
      : { ...from, x: from.x + dx, y: from.y + dy };
    onLook(put(now.to));
  };
  const end = (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation();
    const to = drag.current?.to;
    drag.current = null;
    if (to) onSet(put(to));
  };
  const giveUp = () => {
    if (drag.current) onGiveUp();
    drag.current = null;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (event.key === 'Escape') giveUp();
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? 10 : 1;
    const [dx, dy] = [way[0]! * step, way[1]! * step];
    onSet(
      put(
        event.ctrlKey
          ? { ...area, width: area.width + dx, height: area.height + dy }
          : { ...area, x: area.x + dx, y: area.y + dy },
      ),
    );
  };
  const handlers = { onPointerMove: go, onPointerUp: end, onPointerCancel: giveUp };
  return (
    <>
      <button
        type="button"
        aria-label={label}
        aria-describedby={describedBy}
        className="absolute cursor-move touch-none border border-dashed border-[#fff] outline-1 outline-[#000] outline-dashed focus-visible:outline-3 focus-visible:outline-ring focus-visible:outline-solid"
        style={{
          left: area.x * scale,
          top: area.y * scale,
          width: area.width * scale,
          height: area.height * scale,
        }}
        onPointerDown={(event) => begin(event, false)}
        onKeyDown={onKeyDown}
        {...handlers}
      />
      <span
        aria-hidden
        data-corner
        className="absolute size-3 -translate-1/2 cursor-nwse-resize touch-none border border-[#000] bg-[#fff]"
        style={{ left: (area.x + area.width) * scale, top: (area.y + area.height) * scale }}
        onPointerDown={(event) => begin(event, true)}
        {...handlers}
      />
    </>
  );
}

/** Where it is worst, as a cross that is seen on anything; `x` and `y` in px of the screen. For sighted eyes. */
export function WorstCross({ x, y }: { x: number; y: number }) {
  return (
    <svg
      aria-hidden
      data-worst
      className="pointer-events-none absolute top-0 left-0 size-5 overflow-visible"
      style={{ transform: `translate(${x}px, ${y}px)` }}
    >
      <path d="M-8 0h5M3 0h5M0 -8v5M0 3v5" stroke="#000" strokeWidth="4" />
      <path d="M-8 0h5M3 0h5M0 -8v5M0 3v5" stroke="#fff" strokeWidth="2" />
    </svg>
  );
}
