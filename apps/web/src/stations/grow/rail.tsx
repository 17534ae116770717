import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { lightnessOfLuminance } from '@mint-lamp/core/contrast/light-axis';
import { luminance } from '@mint-lamp/core/contrast/ratio';
import { clamp } from '@mint-lamp/core/numbers/clamp';
import type { ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import clsx from 'clsx';
import { memo, useContext, useRef } from 'react';
import { useStore } from 'react-redux';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../addresses.ts';
import type { DropPlace, MovableThing } from '../../dragging/color-dragging.tsx';
import { MoveGrip } from '../../dragging/move-grip.tsx';
import { SORT_MOTION } from '../../dragging/sort-motion.ts';
import { baseCommand, lyingBetween } from '../../kinds/families/base-command.ts';
import { useEditing } from '../../store/editing.ts';
import { inTurns } from '../../store/in-turns.tsx';
import { selectDocument, selectSystem, useProjectId } from '../../store/selectors.ts';
import { type AppStore, useAppSelector } from '../../store/store.ts';
import { mayPaint } from '../../store/use-live.ts';
import { PlainLink } from '../../ui/plain-link.tsx';
import { BaseHandle } from './base-handle.tsx';
import { isLit, type LitStretch } from './lit-stretch.ts';
import { MovingShades } from './moving-shades.tsx';
import { isOn } from './painted-shades.ts';
import { Beforehand, WasHere } from './was-here.tsx';

const lightnessOf = (shade: ResolvedShade) => lightnessOfLuminance(luminance(shade));

/** What a rail is called among the things that can be dragged. */
export const railId = (family: string) => `rail ${family}`;

interface RailProps {
  /** Id of the family. */
  family: string;
  stretch: LitStretch;
  index: number;
}

/** What is selected of a family; null for what is of another. */
const useSelectionIn = (family: string) =>
  useAppSelector(({ interface: { selection: is } }) =>
    is && 'family' in is && is.family === family ? is : null,
  );

/** One family along the light axis. Its base can be dragged, or moved with the arrow keys. */
export const Rail = memo(function Rail({ family: familyId, stretch, index }: RailProps) {
  // What is drawn again with every move of a base is what stands on the axis, and no more.
  const name = useAppSelector((state) => selectSystem(state).families.get(familyId)?.family.name ?? '');
  const id = useProjectId();
  const own = useAppSelector(
    ({ interface: { selection } }) =>
      selection !== null && 'family' in selection && selection.family === familyId,
  );
  const { edit } = useEditing();
  const store = useStore() as AppStore;
  const moveTo = (to: number) => edit({ type: 'moveFamily', family: familyId, index: to });
  const data: DropPlace & MovableThing = {
    take(color) {
      const { families } = selectSystem(store.getState());
      const { family } = families.get(familyId)!;
      const command = baseCommand(family, color, families);
      if (command) edit(command);
      else toast.error(lyingBetween(family));
    },
    moves: { kind: 'rail', name, index, moveTo },
  };
  const drop = useSortable({ id: railId(familyId), data, ...SORT_MOTION });
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
      <MoveGrip
        name={name}
        what="family"
        sorted={drop}
        onStep={(way) => {
          const to = clamp(index + way, 0, selectDocument(store.getState()).families.length - 1);
          if (to !== index) moveTo(to);
        }}
        className="top-1 -left-[18px] h-11 group-hover/rail:opacity-100"
      />
      <Link
        to={addressOf(id, 'grow', familyId)}
        aria-current={own ? 'true' : undefined}
        className={clsx(
          'my-1 mr-2 flex items-center truncate rounded-md px-2 -outline-offset-2 hover:bg-pressed',
          own && 'bg-pressed font-semibold',
        )}
      >
        <span className="truncate">{name}</span>
      </Link>
      <div className="relative h-[52px] contain-layout contain-style" data-axis>
        <LitLine stretch={stretch} />
        <Shades family={familyId} stretch={stretch} />
      </div>
    </li>
  );
});

/**
 * Ms between two times that elements follow what is painted of them, for those who do not see it: the handle, which says
 * where it is, and the shades with their names.
 */
const TOLD_EVERY = 150;
const NAMED_EVERY = 500;

/** The base of a family at its place. */
const Base = inTurns(
  function Base({ family, stretch }: Omit<RailProps, 'index'>) {
    const resolved = useAppSelector((state) => selectSystem(state).families.get(family));
    const selection = useSelectionIn(family);
    const base = resolved?.shades.find((shade) => shade.isBase);
    if (!resolved || !base) return null;
    return (
      <BaseHandle
        resolved={resolved}
        shade={base}
        place={lightnessOf(base)}
        lit={isLit(lightnessOf(base), stretch)}
        on={isOn(base, selection)}
      />
    );
  },
  { every: () => (mayPaint() ? TOLD_EVERY : 0) },
);

/** The shades of a family at their places. What moves is painted where it may be, and they follow now and then. */
const Shades = inTurns(
  function Shades({ family: familyId, stretch }: Omit<RailProps, 'index'>) {
    const resolved = useAppSelector((state) => selectSystem(state).families.get(familyId));
    const id = useProjectId();
    const selection = useSelectionIn(familyId);
    const navigate = useNavigate();
    const beforehand = useContext(Beforehand);
    const standing = useRef<HTMLDivElement>(null);
    if (!resolved) return null;
    const { family, shades } = resolved;
    return (
      <>
        <MovingShades family={familyId} stretch={stretch} selection={selection} standing={standing} />
        <div ref={standing} className="absolute inset-0">
          {beforehand && <WasHere family={familyId} shades={shades} />}
          {shades.map((shade) =>
            shade.isBase ? null : (
              <ShadePoint
                key={shade.label}
                to={addressOf(id, 'grow', familyId, shade.label)}
                onGo={navigate}
                name={family.name}
                shade={shade}
                lit={isLit(lightnessOf(shade), stretch)}
                on={isOn(shade, selection)}
              />
            ),
          )}
          {/* Apart from the others: a handle that moved among its siblings would slip out of the pointer's hold. */}
          <Base family={familyId} stretch={stretch} />
        </div>
      </>
    );
  },
  { every: () => (mayPaint() ? NAMED_EVERY : 0) },
);

/** The rail itself: strong where a shade would reach the mark, faint where it would not. */
const LitLine = memo(function LitLine({ stretch }: { stretch: LitStretch }) {
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
});

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
      // No transform: each of some thousand would be a part of what the browser lays out in layers with every frame.
      className="absolute top-[3px] -ml-[15px] flex w-[30px] flex-col items-center gap-0.5 rounded-md"
      style={{ left: `${place}%` }}
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
    <span
      data-label
      className={clsx('text-sm leading-none', lit ? 'text-main' : 'text-quiet', handSet && 'underline')}
    >
      {label}
    </span>
  );
});
