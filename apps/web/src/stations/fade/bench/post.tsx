import { movedTo, type Stop } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { sameJson } from '@mint-lamp/core/document/same';
import { clamp, clamp01 } from '@mint-lamp/core/numbers/clamp';
import { stopAtLightness, stopStepped } from '@mint-lamp/core/system/gradients/walked-stop';
import type { Painted } from '@mint-lamp/core/system/painted';
import clsx from 'clsx';
import { type KeyboardEvent, memo } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectSystem, selectTheme, useProjectId } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { mayPaint } from '../../../store/use-live.ts';
import { axisOf, shareAcross, useDrag } from '../../../ui/use-drag.ts';
import { knobTop, SWATCH } from './painted-posts.ts';
import { snapped } from './snapping.ts';

/** Px within which a post goes to a place by itself. */
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
  const move = (to: number) =>
    ({ type: 'moveStop', gradient, stop: stop.id, places: movedTo(stop, to) }) as const;
  const relink = (link: Link) => ({ type: 'linkStop', gradient, stop: stop.id, link }) as const;
  const select = () => navigate(addressOf(id, 'fade', gradient, stop.id), { replace: true });
  const walking = () => {
    const state = store.getState();
    return { families: selectSystem(state).families, roles: selectTheme(state).roles };
  };

  const along = useDrag({
    grip: axisOf,
    at: (axis, pointed) => {
      // Alt holds it off.
      const reach = pointed.free ? 0 : (SNAP_PX / axis.width) * 100;
      return snapped(shareAcross(axis, pointed) * 100, [before, after], reach);
    },
    step: ({ dx, far }, last) =>
      dx ? Math.round(clamp((last ?? position) + dx * (far ? 5 : 1), 0, 100) * 10) / 10 : undefined,
    isPainted: mayPaint,
    show: (place) => preview(place === null ? null : move(place)),
    make: (place) => edit(move(place)),
    onPress: select,
    says: (place) => `Stop ${index + 1}: ${Math.round(place * 10) / 10} %`,
  });
  const walk = useDrag({
    grip: (element) =>
      element.closest('[data-axis]')!.querySelector('[data-lane=lightness]')!.getBoundingClientRect(),
    at: (lane, pointed) => {
      const wanted = 1 - (pointed.y - lane.top) / lane.height;
      return color && stopAtLightness(walking(), stop.color, color, clamp01(wanted));
    },
    step: ({ dx, dy }) =>
      dx || !color ? undefined : stopStepped(walking(), stop.color, color, dy < 0 ? 'lighter' : 'darker'),
    same: sameJson,
    isPainted: mayPaint,
    show: (link) => preview(link && relink(link)),
    make: (link) => edit(relink(link)),
    onPress: select,
    says: (link) => `Stop ${index + 1}: ${linkName(selectSystem(store.getState()).document, link)}`,
  });
  const onKeyDown = (event: KeyboardEvent<HTMLButtonElement>) => {
    const [sideways, upDown] = [along.onKeyDown(event), walk.onKeyDown(event)];
    if (sideways || upDown || (event.key !== 'Delete' && event.key !== 'Backspace')) return;
    edit({ type: 'removeStop', gradient, stop: stop.id });
    event.preventDefault();
    event.stopPropagation();
  };
  const onBlur = () => {
    along.onBlur();
    walk.onBlur();
  };
  return (
    // As few things that are laid over each other as can be: the browser walks all of sixty posts with each move of one.
    <>
      <button
        type="button"
        role="slider"
        data-post={stop.id}
        aria-label={`Stop ${index + 1}`}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={position}
        aria-valuetext={`${position} %, ${color?.css ?? 'no colour'}`}
        title={`Stop ${index + 1} at ${position} %. Drag it (Alt: without snapping) or use the arrow keys; up and down walk along its shades; Delete removes it, the menu does more.`}
        {...along.pointer}
        onBlur={onBlur}
        onFocus={(event) => event.currentTarget.matches(':focus-visible') && select()}
        onKeyDown={onKeyDown}
        className={clsx(
          'pointer-events-auto absolute inset-y-0 -ml-1.5 grid w-3 cursor-ew-resize touch-none grid-cols-[100%] justify-items-center rounded-[3px]',
          on && 'z-10',
        )}
        style={{ left: `${position}%` }}
      >
        <span
          aria-hidden
          className={clsx('col-start-1 row-start-1 h-full bg-main', on ? 'w-[3px]' : 'w-px')}
        />
        <span
          aria-hidden
          data-specimen
          className={clsx(
            'col-start-1 row-start-1 self-start rounded-[4px] border-2 border-[#ffffff] outline-1 outline-[#000000]',
            on ? 'w-4.5 outline-2' : 'w-3',
          )}
          style={{ marginTop: SWATCH.top, height: SWATCH.height, background: color?.css ?? undefined }}
        />
      </button>
      {color && (
        <span
          aria-hidden
          data-post={stop.id}
          data-knob={index + 1}
          data-specimen
          className="pointer-events-auto absolute z-20 -mt-2 -ml-2 size-4 cursor-ns-resize touch-none rounded-full border-2 border-[#ffffff] outline-1 outline-[#000000]"
          style={{
            left: `${position}%`,
            top: knobTop(color),
            background: `rgb(${color.r} ${color.g} ${color.b})`,
          }}
          {...walk.pointer}
        />
      )}
    </>
  );
});
