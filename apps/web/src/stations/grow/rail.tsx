import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { atLightness, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import clsx from 'clsx';
import { type KeyboardEvent, memo, type PointerEvent, useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { addressOf } from '../../addresses.ts';
import { useColorDrop } from '../../dragging/color-dragging.tsx';
import { useEditing } from '../../store/editing.ts';
import { selectProject } from '../../store/selectors.ts';
import { useAppSelector } from '../../store/store.ts';
import { PlainLink } from '../../ui/plain-link.tsx';
import type { LitStretch } from './lit-stretch.ts';

const lightnessOf = (shade: ResolvedShade) => lightnessOfLuminance(luminance(shade));
const isLit = (l: number, { to, from }: LitStretch) =>
  (to !== null && l <= to) || (from !== null && l >= from);
/** A place on the axis (L*) as a shift, which the browser paints without laying the rail out again. */
const along = (place: number) => `translateX(${place}cqw)`;
const STEP = 1;
const LARGE_STEP = 5;

/** One family along the light axis. Its base can be dragged, or moved with the arrow keys. */
export const Rail = memo(function Rail({
  resolved,
  stretch,
  index,
}: {
  resolved: ResolvedFamily;
  stretch: LitStretch;
  index: number;
}) {
  const { family, shades } = resolved;
  const id = useAppSelector((state) => selectProject(state).id);
  const selection = useAppSelector(({ interface: { selection: is } }) =>
    is && 'family' in is && is.family === family.id ? is : null,
  );
  const { edit } = useEditing();
  const navigate = useNavigate();
  const own = selection !== null;
  const base = shades.find((shade) => shade.isBase);
  const isOn = (shade: ResolvedShade) =>
    own &&
    (selection.kind === 'base'
      ? shade.isBase
      : selection.kind === 'shade' && selection.shade === shade.label);
  const drop = useColorDrop(`rail ${family.id}`, (color) =>
    edit({ type: 'setBase', family: family.id, color: canonical({ ...readColor(color), alpha: 1 }) }),
  );
  return (
    <li
      ref={drop.setNodeRef}
      data-index={index}
      className={clsx('grid h-[53px] grid-cols-[112px_1fr] pr-5', drop.isOver && 'bg-pressed')}
    >
      <Link
        to={addressOf(id, 'grow', family.id)}
        aria-current={own ? 'true' : undefined}
        className={clsx(
          'my-1 mr-2 flex items-center truncate rounded-md px-2 -outline-offset-2 hover:bg-pressed',
          own && 'bg-pressed font-semibold',
        )}
      >
        <span className="truncate">{family.name}</span>
      </Link>
      <div className="@container relative h-[52px] contain-layout contain-style" data-axis>
        <LitLine stretch={stretch} />
        {shades.map((shade) =>
          shade.isBase ? null : (
            <ShadePoint
              key={shade.label}
              to={addressOf(id, 'grow', family.id, shade.label)}
              onGo={navigate}
              name={family.name}
              shade={shade}
              lit={isLit(lightnessOf(shade), stretch)}
              on={isOn(shade)}
            />
          ),
        )}
        {/* Apart from the others: a handle that moved among its siblings would slip out of the pointer's hold. */}
        {base && (
          <BaseHandle
            resolved={resolved}
            shade={base}
            place={lightnessOf(base)}
            lit={isLit(lightnessOf(base), stretch)}
            on={isOn(base)}
          />
        )}
      </div>
    </li>
  );
});

/** The rail itself: strong where a shade would reach the mark, faint where it would not. */
function LitLine({ stretch: { to, from } }: { stretch: LitStretch }) {
  const lit = 'absolute top-[16px] h-[5px] rounded-full bg-control';
  return (
    <span aria-hidden>
      <span className="absolute inset-x-0 top-[18px] h-px bg-hair" />
      {to !== null && <span className={clsx(lit, 'left-0')} style={{ width: `${to}%` }} />}
      {from !== null && <span className={clsx(lit, 'right-0')} style={{ left: `${from}%` }} />}
    </span>
  );
}

interface ShadePointProps {
  to: string;
  onGo: (to: string) => void;
  name: string;
  shade: ResolvedShade;
  lit: boolean;
  on: boolean;
}

/** A shade at its place. Drawn again only when it changes itself, not whenever the marks move. */
const ShadePoint = memo(function ShadePoint({ to, onGo, name, shade, lit, on }: ShadePointProps) {
  const place = lightnessOf(shade);
  return (
    <PlainLink
      to={to}
      onGo={onGo}
      aria-label={`${name} ${shade.label}, ${shade.css}${shade.handSet ? ', hand-set' : ''}`}
      // Written when it is about to be read, and not at each step of a drag.
      onPointerEnter={({ currentTarget }) => {
        currentTarget.title = `${name} ${shade.label}  ${shade.css}  L* ${place.toFixed(1)}`;
      }}
      className="absolute top-[3px] left-0 flex -translate-x-1/2 flex-col items-center gap-0.5 rounded-md"
      style={{ transform: along(place) }}
    >
      <span className="grid size-[30px] place-content-center">
        <span
          className={clsx(
            'block rounded-full border border-control',
            lit ? 'size-[28px]' : 'size-[16px]',
            on && 'outline-2 outline-offset-1 outline-main',
          )}
          style={{ background: shade.css }}
        />
      </span>
      <ShadeLabel label={shade.label} lit={lit} handSet={shade.handSet} />
    </PlainLink>
  );
});

interface ShadeLabelProps {
  label: string;
  lit: boolean;
  handSet: boolean;
}

const ShadeLabel = memo(function ShadeLabel({ label, lit, handSet }: ShadeLabelProps) {
  return (
    <span className={clsx('text-xs leading-none', lit ? 'text-main' : 'text-quiet', handSet && 'underline')}>
      {label}
    </span>
  );
});

interface BaseHandleProps {
  resolved: ResolvedFamily;
  shade: ResolvedShade;
  place: number;
  lit: boolean;
  on: boolean;
}

/** The shade that is the base: taller than the others, and the only one that moves the whole family. */
function BaseHandle({ resolved: { family }, shade, place, lit, on }: BaseHandleProps) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit, preview } = useEditing();
  const grip = useRef<{ start: number; moved: boolean; axis: DOMRect; from: string; last: string } | null>(
    null,
  );
  const at = (from: string, lightness: number) => canonical(atLightness(readColor(from), lightness));

  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    const axis = event.currentTarget.closest('[data-axis]')!.getBoundingClientRect();
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { start: event.clientX, moved: false, axis, from: family.base, last: family.base };
  };
  const onPointerMove = (event: PointerEvent<HTMLButtonElement>) => {
    const held = grip.current;
    if (!held) return;
    if (!held.moved && Math.abs(event.clientX - held.start) < 3) return;
    held.moved = true;
    held.last = at(held.from, ((event.clientX - held.axis.left) / held.axis.width) * 100);
    preview({ type: 'setBase', family: family.id, color: held.last });
  };
  const onPointerUp = () => {
    const held = grip.current;
    grip.current = null;
    navigate(addressOf(id, 'grow', family.id));
    if (held?.moved && held.last !== held.from)
      edit({ type: 'setBase', family: family.id, color: held.last });
    else preview(null);
  };
  const onPointerCancel = () => {
    grip.current = null;
    preview(null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const direction = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
    if (!direction) return;
    event.preventDefault();
    const step = direction * (event.shiftKey ? LARGE_STEP : STEP);
    edit({ type: 'setBase', family: family.id, color: at(family.base, place + step) });
  };
  return (
    <button
      type="button"
      role="slider"
      aria-label={`Base of ${family.name}, ${shade.label}`}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(place)}
      aria-valuetext={`L* ${place.toFixed(1)}, ${shade.css}`}
      title={`Base of ${family.name}: ${shade.css}, L* ${place.toFixed(1)}. Drag it along the rail.`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={onPointerCancel}
      onClick={(event) => event.detail === 0 && navigate(addressOf(id, 'grow', family.id))}
      onKeyDown={onKeyDown}
      className="absolute top-[1px] left-0 z-10 flex -translate-x-1/2 cursor-ew-resize touch-none flex-col items-center gap-0.5 rounded-md"
      style={{ transform: along(place) }}
    >
      <span
        className={clsx(
          'block h-[34px] w-[26px] rounded-md border-2 border-main',
          on && 'outline-2 outline-offset-1 outline-main',
          !lit && 'border-dashed',
        )}
        style={{ background: shade.css }}
      />
      <span className="bg-ground px-0.5 text-xs leading-none font-semibold">{shade.label}</span>
    </button>
  );
}
