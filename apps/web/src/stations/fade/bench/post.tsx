import { rgb8ToOklch } from '@mint-lamp/core/color/gamut';
import { movedTo, type Stop } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import { sameJson } from '@mint-lamp/core/document/same';
import { clamp, clamp01 } from '@mint-lamp/core/numbers/clamp';
import { stopAtLightness, stopStepped } from '@mint-lamp/core/system/gradients/walked-stop';
import type { Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { type KeyboardEvent, memo, type PointerEvent, useRef } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSystem, selectTheme, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { LANE } from './lanes.tsx';
import { snapped } from './snapping.ts';

/** Px of the strip's height, and within which a post goes to a place by itself. */
export const STRIP = 40;
const SNAP_PX = 5;

interface PostProps {
  gradient: string;
  stop: Stop;
  index: number;
  /** Percent of the line. */
  position: number;
  before: number | null;
  after: number | null;
  color: Painted | null;
  on: boolean;
}

/**
 * A stop as a post that stands in the strip and in all lanes: dragged sideways it moves, its knob on the lightness lane
 * up and down walks along the shades. Left and right, up and down do the same by keyboard.
 */
export const Post = memo(function Post(props: PostProps) {
  const { gradient, stop, index, position, before, after, color, on } = props;
  const id = useProjectId();
  const navigate = useNavigate();
  const store = useStore() as AppStore;
  const { edit, preview } = useEditing();
  const held = useRef<{ axis: DOMRect; last: number; moved: boolean } | null>(null);
  const walk = useRef<{ lane: DOMRect; link: Link | null } | null>(null);
  const move = (to: number) =>
    ({ type: 'moveStop', gradient, stop: stop.id, places: movedTo(stop, to) }) as const;
  const relink = (link: Link) => ({ type: 'linkStop', gradient, stop: stop.id, link }) as const;
  const select = () => navigate(addressOf(id, 'fade', gradient, stop.id), { replace: true });
  const walking = () => {
    const state = store.getState();
    return { families: selectSystem(state).families, roles: selectTheme(state).roles };
  };
  const lightness = color ? rgb8ToOklch(color.r, color.g, color.b)[0] : 0;

  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const axis = event.currentTarget.closest('[data-axis]')!.getBoundingClientRect();
    held.current = { axis, last: position, moved: false };
  };
  const onPointerMove = (event: PointerEvent) => {
    const now = held.current;
    if (!now) return;
    const to = ((event.clientX - now.axis.left) / now.axis.width) * 100;
    // Alt holds it off.
    const reach = event.altKey ? 0 : (SNAP_PX / now.axis.width) * 100;
    const landed = snapped(to, [before, after], reach);
    if (landed === now.last) return;
    now.moved = true;
    now.last = landed;
    preview(move(landed));
  };
  const onPointerUp = () => {
    const now = held.current;
    held.current = null;
    if (now?.moved) edit(move(now.last));
    select();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const sideways = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const way = { ArrowUp: 'lighter', ArrowDown: 'darker' }[event.key] as 'lighter' | 'darker' | undefined;
    if (sideways) {
      const to = clamp(position + sideways * (event.shiftKey ? 5 : 1), 0, 100);
      edit(move(Math.round(to * 10) / 10));
    } else if (way && color) {
      const link = stopStepped(walking(), stop.color, color, way);
      if (link) edit(relink(link));
    } else if (event.key === 'Delete' || event.key === 'Backspace')
      edit({ type: 'removeStop', gradient, stop: stop.id });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onKnobDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const lane = event.currentTarget.closest('[data-axis]')!.querySelector('[data-lane=lightness]')!;
    walk.current = { lane: lane.getBoundingClientRect(), link: null };
  };
  const onKnobMove = (event: PointerEvent) => {
    const now = walk.current;
    if (!now || !color) return;
    event.stopPropagation();
    const wanted = 1 - (event.clientY - now.lane.top) / now.lane.height;
    const link = stopAtLightness(walking(), stop.color, color, clamp01(wanted));
    if (sameJson(link, now.link ?? stop.color)) return;
    now.link = link;
    preview(relink(link));
  };
  const onKnobUp = (event: PointerEvent) => {
    event.stopPropagation();
    const link = walk.current?.link;
    walk.current = null;
    if (link) edit(relink(link));
    select();
  };
  const giveUp = () => {
    held.current = null;
    walk.current = null;
    preview(null);
  };
  return (
    <div
      data-post={stop.id}
      className="pointer-events-none absolute inset-y-0"
      style={{ left: `${position}%` }}
    >
      <button
        type="button"
        role="slider"
        aria-label={`Stop ${index + 1}`}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={position}
        aria-valuetext={`${position} %, ${color?.css ?? 'no colour'}`}
        title={`Stop ${index + 1} at ${position} %. Drag it (Alt: without snapping) or use the arrow keys; up and down walk along its shades; Delete removes it, the menu does more.`}
        onPointerDown={onPointerDown}
        onPointerMove={onPointerMove}
        onPointerUp={onPointerUp}
        onPointerCancel={giveUp}
        onFocus={(event) => event.currentTarget.matches(':focus-visible') && select()}
        onKeyDown={onKeyDown}
        className={clsx(
          'pointer-events-auto absolute top-0 h-full w-3 -translate-x-1/2 cursor-ew-resize touch-none rounded-[3px]',
          on && 'z-10',
        )}
      >
        <span
          aria-hidden
          className={clsx('absolute inset-y-0 left-1/2 -translate-x-1/2 bg-main', on ? 'w-[3px]' : 'w-px')}
        />
        <span
          aria-hidden
          data-specimen
          className={clsx(
            'absolute left-1/2 -translate-x-1/2 rounded-[4px] border-2 border-[#ffffff] outline-1 outline-[#000000]',
            on ? 'w-4.5 outline-2' : 'w-3',
          )}
          style={{ top: 5, height: STRIP - 10, background: color?.css ?? undefined }}
        />
      </button>
      {color && (
        <span
          aria-hidden
          data-knob={index + 1}
          data-specimen
          className="pointer-events-auto absolute z-20 size-4 -translate-1/2 cursor-ns-resize touch-none rounded-full border-2 border-[#ffffff] outline-1 outline-[#000000]"
          style={{
            top: STRIP + LANE.gap + (1 - lightness) * LANE.lightness,
            background: `rgb(${color.r} ${color.g} ${color.b})`,
          }}
          onPointerDown={onKnobDown}
          onPointerMove={onKnobMove}
          onPointerUp={onKnobUp}
          onPointerCancel={giveUp}
        />
      )}
    </div>
  );
});
