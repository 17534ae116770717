import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { atLightness, lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import { followingWords } from '@mint-lamp/core/document/links/following';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import clsx from 'clsx';
import { GripVertical, Link2 } from 'lucide-react';
import { type KeyboardEvent, memo, type PointerEvent, useContext, useRef } from 'react';
import { useStore } from 'react-redux';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../addresses.ts';
import type { DropPlace, MovableThing } from '../../dragging/color-dragging.tsx';
import { baseCommand, lyingBetween } from '../../kinds/families/base-command.ts';
import { useEditing } from '../../store/editing.ts';
import { selectDocument, selectProject, selectSystem } from '../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../store/store.ts';
import { PlainLink } from '../../ui/plain-link.tsx';
import { isLit, type LitStretch } from './lit-stretch.ts';
import { Beforehand, WasHere } from './was-here.tsx';

const lightnessOf = (shade: ResolvedShade) => lightnessOfLuminance(luminance(shade));
/** A place on the axis (L*) as a shift, which the browser paints without laying the rail out again. */
const along = (place: number) => `translateX(${place}cqw)`;
const STEP = 1;
const LARGE_STEP = 5;

/** What a rail is called among the things that can be dragged. */
export const railId = (family: string) => `rail ${family}`;

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
  const store = useStore() as AppStore;
  const navigate = useNavigate();
  const beforehand = useContext(Beforehand);
  const own = selection !== null;
  const base = shades.find((shade) => shade.isBase);
  const isOn = (shade: ResolvedShade) =>
    own &&
    (selection.kind === 'base'
      ? shade.isBase
      : selection.kind === 'shade' && selection.shade === shade.label);
  const moveTo = (to: number) => edit({ type: 'moveFamily', family: family.id, index: to });
  const data: DropPlace & MovableThing = {
    take(color) {
      const command = baseCommand(family, color, selectSystem(store.getState()).families);
      if (command) edit(command);
      else toast.error(lyingBetween(family));
    },
    moves: { kind: 'rail', name: family.name, index, moveTo },
  };
  const drop = useSortable({ id: railId(family.id), data });
  return (
    <li
      ref={drop.setNodeRef}
      data-index={index}
      style={{ transform: CSS.Translate.toString(drop.transform), transition: drop.transition }}
      className={clsx(
        'group/rail relative grid h-[53px] grid-cols-[112px_1fr] pr-5',
        drop.isOver && !drop.isDragging && 'bg-pressed',
        drop.isDragging && 'z-20 bg-raised',
      )}
    >
      <button
        ref={drop.setActivatorNodeRef}
        type="button"
        {...drop.attributes}
        {...drop.listeners}
        aria-roledescription="family that can be moved"
        aria-label={`Move ${family.name}`}
        title={`Move ${family.name}: drag it, or press the up and down arrow keys`}
        onKeyDown={(event) => {
          const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
          if (step && !drop.isDragging) {
            event.preventDefault();
            const last = selectDocument(store.getState()).families.length - 1;
            const to = clamp(index + step, 0, last);
            if (to !== index) moveTo(to);
          } else drop.listeners?.onKeyDown?.(event);
        }}
        className="absolute top-1 -left-[18px] flex h-11 w-4 cursor-grab touch-none items-center rounded-md text-quiet opacity-0 group-hover/rail:opacity-100 focus-visible:opacity-100"
      >
        <GripVertical aria-hidden className="size-4" />
      </button>
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
        {beforehand && <WasHere family={family.id} shades={shades} />}
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
function LitLine({ stretch }: { stretch: LitStretch }) {
  return (
    <span aria-hidden>
      <span className="absolute inset-x-0 top-[18px] h-px bg-hair" />
      {stretch.map(([from, to]) => (
        <span
          key={from}
          className="absolute top-[16px] h-[5px] rounded-full bg-control"
          style={{ left: `${from}%`, width: `${to - from}%` }}
        />
      ))}
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
function BaseHandle({ resolved: { family, base }, shade, place, lit, on }: BaseHandleProps) {
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit, preview } = useEditing();
  const grip = useRef<{ start: number; moved: boolean; axis: DOMRect; from: string; last: string } | null>(
    null,
  );
  const store = useStore() as AppStore;
  const at = (from: string, lightness: number) => canonical(atLightness(readColor(from), lightness));
  /** What has to change for the base to be a colour; what lies between two others cannot be moved. */
  const to = (color: string) =>
    baseCommand(family, color, selectSystem(store.getState()).families, 'lightness');
  const { follows } = family;
  const words =
    follows &&
    followingWords(
      follows,
      (other) =>
        selectDocument(store.getState()).families.find((one) => one.id === other)?.name ?? 'a lost family',
    );

  const onPointerDown = (event: PointerEvent<HTMLButtonElement>) => {
    const axis = event.currentTarget.closest('[data-axis]')!.getBoundingClientRect();
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { start: event.clientX, moved: false, axis, from: base.text, last: base.text };
  };
  const onPointerMove = (event: PointerEvent<HTMLButtonElement>) => {
    const held = grip.current;
    if (!held) return;
    if (!held.moved && Math.abs(event.clientX - held.start) < 3) return;
    held.moved = true;
    held.last = at(held.from, ((event.clientX - held.axis.left) / held.axis.width) * 100);
    preview(to(held.last));
  };
  const onPointerUp = () => {
    const held = grip.current;
    grip.current = null;
    navigate(addressOf(id, 'grow', family.id));
    const command = held?.moved && held.last !== held.from ? to(held.last) : null;
    if (command) edit(command);
    else {
      preview(null);
      if (held?.moved && follows?.by === 'between') toast.error(lyingBetween(family));
    }
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
    const command = to(at(base.text, place + step));
    if (command) edit(command);
    else toast.error(lyingBetween(family));
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
      title={`Base of ${family.name}: ${shade.css}, L* ${place.toFixed(1)}. ${words ? `It is the ${words}.` : 'Drag it along the rail.'}`}
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
      {words && (
        <Link2
          aria-label={words}
          className="absolute -top-1 -right-1.5 size-3.5 rounded-[4px] bg-main p-px text-inverse"
        />
      )}
      <span className="bg-ground px-0.5 text-xs leading-none font-semibold">{shade.label}</span>
    </button>
  );
}
