import { gradientCss } from '@mint-lamp/core/exchange/css';
import {
  alongLine,
  type GradientLine,
  gradientLine,
  type Point,
  pointInBox,
} from '@mint-lamp/core/gradient/line';
import { percentOf } from '@mint-lamp/core/gradient/model';
import { angleOf, movedTo, type Stop } from '@mint-lamp/core/system/gradients/gradient';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import clsx from 'clsx';
import {
  type KeyboardEvent,
  type MouseEvent,
  type PointerEvent,
  useLayoutEffect,
  useRef,
  useState,
} from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAddStop } from './use-add-stop.ts';

const clamp = (v: number) => Math.min(100, Math.max(0, v));
const round = (v: number) => Math.round(v * 10) / 10;

/** Handles stay this far inside the banner, px. */
const INSET = 14;
const WAY = Array.from({ length: 51 }, (_, i) => i * 2);

interface GradientPreviewProps {
  resolved: ResolvedGradient;
  openStop: string | null;
}

/** The gradient on a banner, with a handle for each stop on the gradient line itself. A click adds a stop. */
export function GradientPreview({ resolved, openStop }: GradientPreviewProps) {
  const { gradient, stops, colors } = resolved;
  const degrees = angleOf(gradient);
  const box = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  const addStop = useAddStop(resolved);
  useLayoutEffect(() => {
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, []);
  const line = gradientLine(degrees ?? 90, size.width, size.height);
  const place = (percent: number) => pointInBox(degrees ?? 90, size, percent, INSET);
  const path = WAY.map((percent) => Object.values(place(percent)).join(',')).join(' ');

  const addAt = (event: MouseEvent) => {
    const rect = box.current!.getBoundingClientRect();
    const position = round(
      clamp(alongLine(line, { x: event.clientX - rect.left, y: event.clientY - rect.top })),
    );
    addStop(position);
  };
  return (
    <div className="checker rounded-md border border-hair">
      <div
        ref={box}
        className="relative h-48 rounded-[5px]"
        style={{ background: gradientCss(resolved) ?? undefined }}
      >
        {/* Only of a straight line at an angle is it known which place lies under the pointer. */}
        {degrees !== null && (
          <>
            {/* biome-ignore lint/a11y/useKeyWithClickEvents: the list of stops adds one by keyboard */}
            {/* biome-ignore lint/a11y/noStaticElementInteractions: as above */}
            <div
              className="absolute inset-0 cursor-copy"
              data-testid="gradient-area"
              onClick={addAt}
              title="Click to add a stop here"
            />
            <svg aria-hidden className="pointer-events-none absolute inset-0 size-full">
              <polyline points={path} fill="none" stroke="#ffffff" strokeOpacity={0.7} strokeWidth={3} />
              <polyline points={path} fill="none" stroke="#000000" strokeWidth={1} />
            </svg>
            {size.width > 0 &&
              stops.map((stop, i) => {
                const position = percentOf(stop.places[0], line.length);
                return (
                  <StopHandle
                    key={stop.id}
                    gradient={gradient.id}
                    stop={stop}
                    position={position}
                    index={i}
                    css={colors[i]?.css ?? null}
                    line={line}
                    point={place(position)}
                    on={stop.id === openStop}
                  />
                );
              })}
          </>
        )}
      </div>
    </div>
  );
}

interface StopHandleProps {
  gradient: string;
  stop: Stop;
  position: number;
  index: number;
  css: string | null;
  line: GradientLine;
  point: Point;
  on: boolean;
}

function StopHandle({ gradient, stop, position, index, css, line, point, on }: StopHandleProps) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit, preview } = useEditing();
  const grip = useRef<{ line: GradientLine; box: DOMRect; last: number; moved: boolean } | null>(null);
  const move = (to: number) =>
    ({ type: 'moveStop', gradient, stop: stop.id, places: movedTo(stop, to) }) as const;
  const select = () => navigate(addressOf(id, 'fade', gradient, stop.id), { replace: true });

  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const box = event.currentTarget.parentElement!.getBoundingClientRect();
    grip.current = { line, box, last: position, moved: false };
  };
  const onPointerMove = (event: PointerEvent) => {
    const held = grip.current;
    if (!held) return;
    const to = round(
      clamp(alongLine(held.line, { x: event.clientX - held.box.left, y: event.clientY - held.box.top })),
    );
    if (to === held.last) return;
    held.moved = true;
    held.last = to;
    preview(move(to));
  };
  const onPointerUp = () => {
    const held = grip.current;
    grip.current = null;
    if (held?.moved) edit(move(held.last));
    select();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const direction = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (direction) {
      event.preventDefault();
      edit(move(round(clamp(position + direction * (event.shiftKey ? 5 : 1)))));
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      edit({ type: 'removeStop', gradient, stop: stop.id });
    }
  };
  return (
    <button
      type="button"
      role="slider"
      aria-label={`Stop ${index + 1}`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={position}
      aria-valuetext={`${position} %, ${css ?? 'no colour'}`}
      title={`Stop ${index + 1} at ${position} %. Drag it, or use the arrow keys; Delete removes it.`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={() => {
        grip.current = null;
        preview(null);
      }}
      onFocus={(event) => event.currentTarget.matches(':focus-visible') && select()}
      onKeyDown={onKeyDown}
      className={clsx(
        'absolute size-6 -translate-x-1/2 -translate-y-1/2 touch-none rounded-full border-2 border-[#ffffff] outline-1 outline-[#000000]',
        on && 'size-8 shadow-[0_0_0_3px_#000000]',
      )}
      style={{ left: point.x, top: point.y, background: css ?? undefined }}
    />
  );
}
