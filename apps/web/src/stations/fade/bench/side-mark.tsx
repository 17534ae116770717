import { clamp } from '@mint-lamp/core/numbers/clamp';
import clsx from 'clsx';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { STRIP } from './post.tsx';
import { snapped } from './snapping.ts';

const SNAP_PX = 5;

interface SideMarkProps {
  label: string;
  title: string;
  /** Percent of the line, and what it stays between. */
  position: number;
  from: number;
  to: number;
  look: 'middle' | 'end';
  onLook: (place: number) => void;
  onMove: (place: number) => void;
  onRemove: () => void;
  onGiveUp: () => void;
}

/**
 * A place on the strip that belongs to a stop and is none itself: the middle of a change, or where a flat stretch ends.
 * It is dragged sideways, moved by arrow keys, and taken away by Delete.
 */
export function SideMark(props: SideMarkProps) {
  const { label, title, position, from, to, look, onLook, onMove, onRemove, onGiveUp } = props;
  const held = useRef<{ axis: DOMRect; from: number; last: number } | null>(null);
  const within = (place: number) => Math.round(clamp(place, from, to) * 10) / 10;
  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const axis = event.currentTarget.closest('[data-axis]')!.getBoundingClientRect();
    held.current = { axis, from: position, last: position };
  };
  const onPointerMove = (event: PointerEvent) => {
    const now = held.current;
    if (!now) return;
    const place = ((event.clientX - now.axis.left) / now.axis.width) * 100;
    const reach = event.altKey ? 0 : (SNAP_PX / now.axis.width) * 100;
    const landed = within(snapped(place, [from, to], reach));
    if (landed === now.last) return;
    now.last = landed;
    onLook(landed);
  };
  const onPointerUp = () => {
    const now = held.current;
    held.current = null;
    if (now && now.last !== now.from) onMove(now.last);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (way) onMove(within(position + way * (event.shiftKey ? 5 : 1)));
    else if (event.key === 'Delete' || event.key === 'Backspace') onRemove();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <button
      type="button"
      role="slider"
      aria-label={label}
      aria-valuemin={from}
      aria-valuemax={to}
      aria-valuenow={position}
      aria-valuetext={`${position} %`}
      title={title}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={() => {
        held.current = null;
        onGiveUp();
      }}
      onKeyDown={onKeyDown}
      className="absolute z-20 grid size-6 -translate-x-1/2 cursor-ew-resize touch-none place-items-center rounded-[3px]"
      style={{ left: `${position}%`, top: STRIP - 12 }}
    >
      <span
        aria-hidden
        className={clsx(
          'block border-2 border-[#000000] bg-[#ffffff] outline-1 outline-[#ffffff]',
          look === 'middle' ? 'size-2.5 rotate-45' : 'h-4 w-1.5',
        )}
      />
    </button>
  );
}
