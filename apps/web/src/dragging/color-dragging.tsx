import {
  type Active,
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  DragOverlay,
  type DroppableContainer,
  KeyboardSensor,
  type Over,
  pointerWithin,
  rectIntersection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import type { Link } from '@mint-lamp/core/document/links/link';
import { type PointerEventHandler, type ReactNode, type TouchEventHandler, useRef, useState } from 'react';
import { selectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { ColorChip } from '../ui/color-chip.tsx';
import { FingerSensor, NearPointerSensor } from './sensors.ts';

/** What a place that takes a colour does with one dropped on it. */
export interface DropPlace {
  readonly take: (color: string, name: string, swatchId: string) => void;
  /** What it does with something that can be linked to; without this it takes its colour. */
  readonly takeLink?: (link: Link) => void;
}

/** A colour of the project that is carried with what to link to: a shade, a base, a role. */
export interface CarriedLink {
  readonly carries: { readonly color: string; readonly name: string; readonly link: Link };
}

/** A thing that is no colour and is moved along a list: it is put down only on others of its kind. */
export interface MovableThing {
  readonly moves: {
    readonly kind: string;
    readonly name: string;
    readonly index: number;
    readonly moveTo: (index: number) => void;
  };
}

type Thing = { readonly data: { readonly current?: unknown } } | null | undefined;
const dataOf = (thing: Thing) =>
  (thing?.data.current ?? {}) as Partial<DropPlace & MovableThing & CarriedLink>;
const movesOf = (thing: Thing) => dataOf(thing).moves;

/** Over what a thing is let go. The event's own `over` is drawn a step later, so it may be what came before. */
const underLast = ({ collisions }: DragEndEvent): DroppableContainer | null =>
  collisions?.[0]?.data?.droppableContainer ?? null;

/** Makes a place take colours from the tray. `isOver` is true while one hangs over it. */
export function useColorDrop(id: string, take: DropPlace['take'], takeLink?: DropPlace['takeLink']) {
  return useDroppable({ id, data: { take, ...(takeLink && { takeLink }) } satisfies DropPlace });
}

/**
 * Lets a colour of the project be dragged by the pointer onto what takes colours; where links are taken it comes as a
 * link. Whatever this is put on needs a way for the keyboard beside it.
 */
export function useLinkDrag(id: string, carries: CarriedLink['carries'] | null) {
  const { setNodeRef, listeners, isDragging } = useDraggable({
    id,
    data: carries ? ({ carries } satisfies CarriedLink) : {},
    disabled: carries === null,
  });
  return { ref: setNodeRef, ...pressesOf(listeners), isDragging };
}

/** Of what begins a drag, what is no key. */
export const pressesOf = (listeners: ReturnType<typeof useDraggable>['listeners']) => ({
  onPointerDown: listeners?.onPointerDown as PointerEventHandler | undefined,
  onTouchStart: listeners?.onTouchStart as TouchEventHandler | undefined,
});

const screenReaderInstructions = {
  draggable: 'Space picks the colour up, the arrow keys move it, Space puts it down, Escape leaves it.',
};

/** Lets colours be dragged from the tray onto anything in the frame that takes one, and things along their lists. */
export function ColorDragging({ children }: { children: ReactNode }) {
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const [dragged, setDragged] = useState<Active | null>(null);
  const putAt = useRef<DroppableContainer | null>(null);
  const sensors = useSensors(
    useSensor(NearPointerSensor, { activationConstraint: { distance: 6 } }),
    // A finger rests first, so that lists can still be scrolled by it.
    useSensor(FingerSensor, { activationConstraint: { delay: 220, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const swatch = tray.find((item) => item.id === dragged?.id);
  const seen = dataOf(dragged).carries?.color ?? swatch?.color;
  const nameOf = (thing: Active | Over | DroppableContainer) =>
    movesOf(thing)?.name ??
    dataOf(thing).carries?.name ??
    tray.find((item) => item.id === thing.id)?.name ??
    'a place that takes a colour';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active)} is picked up.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active)} is over ${nameOf(over)}.` : `${nameOf(active)} is over nothing.`,
    onDragEnd: ({ active }) =>
      putAt.current
        ? `${nameOf(active)} is put down at ${nameOf(putAt.current)}.`
        : `${nameOf(active)} stays where it was.`,
    onDragCancel: ({ active }) => `${nameOf(active)} stays where it was.`,
  };
  const onDragEnd = (event: DragEndEvent) => {
    setDragged(null);
    const { active } = event;
    const over = underLast(event);
    putAt.current = over;
    const [moved, at] = [movesOf(active), movesOf(over)];
    if (moved) {
      if (at && at.kind === moved.kind && at.index !== moved.index) moved.moveTo(at.index);
      return;
    }
    const place = dataOf(over);
    const { carries } = dataOf(active);
    if (carries) {
      if (place.takeLink) place.takeLink(carries.link);
      else place.take?.(carries.color, carries.name, '');
      return;
    }
    const item = tray.find((other) => other.id === active.id);
    if (item && over && over.id !== active.id) place.take?.(item.color, item.name, item.id);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={{ announcements, screenReaderInstructions }}
      collisionDetection={(args) => {
        const kind = movesOf(args.active)?.kind;
        if (kind) {
          const list = args.droppableContainers.filter((one) => movesOf(one)?.kind === kind);
          return closestCenter({ ...args, droppableContainers: list });
        }
        // Rows that can only be moved take no colour.
        const taking = args.droppableContainers.filter((one) => dataOf(one).take);
        const under = pointerWithin({ ...args, droppableContainers: taking });
        return under.length ? under : rectIntersection({ ...args, droppableContainers: taking });
      }}
      onDragStart={({ active }) => setDragged(active)}
      onDragCancel={() => setDragged(null)}
      onDragEnd={onDragEnd}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {seen && <ColorChip css={seen} className="size-9 shadow-[0_4px_12px_var(--veil-modal)]" />}
      </DragOverlay>
    </DndContext>
  );
}
