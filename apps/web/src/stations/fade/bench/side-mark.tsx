import { clamp } from '@mint-lamp/core/numbers/clamp';
import clsx from 'clsx';
import type { KeyboardEvent } from 'react';
import { axisOf, shareAcross, useDrag } from '../../../ui/use-drag.ts';
import { STRIP } from './painted-posts.ts';
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
  const within = (place: number) => Math.round(clamp(place, from, to) * 10) / 10;
  const drag = useDrag({
    grip: axisOf,
    at: (axis, pointed) => {
      const reach = pointed.free ? 0 : (SNAP_PX / axis.width) * 100;
      return within(snapped(shareAcross(axis, pointed) * 100, [from, to], reach));
    },
    step: ({ dx, far }, last) => (dx ? within((last ?? position) + dx * (far ? 5 : 1)) : undefined),
    show: (place) => (place === null ? onGiveUp() : onLook(place)),
    make: onMove,
    says: (place) => `${label}: ${place} %`,
  });
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>) => {
    if (drag.onKeyDown(event) || (event.key !== 'Delete' && event.key !== 'Backspace')) return;
    onRemove();
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
      {...drag.pointer}
      onBlur={drag.onBlur}
      onKeyDown={onKeyDown}
      className="absolute z-20 -ml-[12px] grid size-[24px] cursor-ew-resize touch-none place-items-center rounded-[3px]"
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
