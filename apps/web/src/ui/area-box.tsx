import { sameJson } from '@mint-lamp/core/document/same';
import type { Area } from '@mint-lamp/core/gradient/area';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import { type Pointed, useDrag, type Way } from './use-drag.ts';

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

interface Gripped {
  readonly at: Pointed;
  readonly from: Area;
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
  const put = (next: Area) => within(next, width, height);
  const moved = (from: Area, dx: number, dy: number) => put({ ...from, x: from.x + dx, y: from.y + dy });
  const sized = (from: Area, dx: number, dy: number) =>
    put({
      ...from,
      width: clamp(from.width + dx, 1, width - from.x),
      height: clamp(from.height + dy, 1, height - from.y),
    });
  const begin = (_: unknown, at: Pointed) => ({ at, from: area });
  const common = {
    grip: begin,
    same: sameJson,
    show: (next: Area | null) => (next ? onLook(next) : onGiveUp()),
    make: onSet,
    says: (next: Area) => `${label}, ${next.width} × ${next.height} px at ${next.x}, ${next.y}`,
  };
  const moving = useDrag({
    ...common,
    at: ({ at, from }: Gripped, to: Pointed) => moved(from, (to.x - at.x) / scale, (to.y - at.y) / scale),
    step({ dx, dy, far, ctrl }: Way, last: Area | null) {
      const by = far ? 10 : 1;
      return (ctrl ? sized : moved)(last ?? area, dx * by, dy * by);
    },
  });
  const sizing = useDrag({
    ...common,
    at: ({ at, from }: Gripped, to: Pointed) => sized(from, (to.x - at.x) / scale, (to.y - at.y) / scale),
  });
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
        {...moving.pointer}
        onKeyDown={moving.onKeyDown}
        onBlur={moving.onBlur}
      />
      <span
        aria-hidden
        data-corner
        className="absolute size-3 -translate-1/2 cursor-nwse-resize touch-none border border-[#000] bg-[#fff]"
        style={{ left: (area.x + area.width) * scale, top: (area.y + area.height) * scale }}
        {...sizing.pointer}
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
