import {
  type Active,
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  DragOverlay,
  KeyboardSensor,
  type Over,
  PointerSensor,
  pointerWithin,
  rectIntersection,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { type ReactNode, useState } from 'react';
import { selectDocument } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { ColorChip } from '../ui/color-chip.tsx';

/** What a place that takes a colour does with one dropped on it. */
export interface DropPlace {
  readonly take: (color: string, name: string, swatchId: string) => void;
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

type Carried = Partial<DropPlace & MovableThing> | undefined;
const movesOf = (thing: { readonly data: { readonly current?: unknown } } | null | undefined) =>
  (thing?.data.current as Carried)?.moves;

/** Makes a place take colours from the tray. `isOver` is true while one hangs over it. */
export function useColorDrop(id: string, take: DropPlace['take'], disabled = false) {
  return useDroppable({ id, data: { take } satisfies DropPlace, disabled });
}

const screenReaderInstructions = {
  draggable: 'Space picks the colour up, the arrow keys move it, Space puts it down, Escape leaves it.',
};

/** Lets colours be dragged from the tray onto anything in the frame that takes one, and things along their lists. */
export function ColorDragging({ children }: { children: ReactNode }) {
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const [dragged, setDragged] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const swatch = tray.find((item) => item.id === dragged);
  const nameOf = (thing: Active | Over) =>
    movesOf(thing)?.name ?? tray.find((item) => item.id === thing.id)?.name ?? 'a place that takes a colour';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active)} is picked up.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active)} is over ${nameOf(over)}.` : `${nameOf(active)} is over nothing.`,
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active)} is put down at ${nameOf(over)}.` : `${nameOf(active)} stays where it was.`,
    onDragCancel: ({ active }) => `${nameOf(active)} stays where it was.`,
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const [moved, at] = [movesOf(active), movesOf(over)];
    if (moved) {
      if (at && at.kind === moved.kind && at.index !== moved.index) moved.moveTo(at.index);
      return;
    }
    const item = tray.find((other) => other.id === active.id);
    const place = over?.data.current as Partial<DropPlace> | undefined;
    if (item && over && over.id !== active.id) place?.take?.(item.color, item.name, item.id);
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
        const under = pointerWithin(args);
        return under.length ? under : rectIntersection(args);
      }}
      onDragStart={({ active }) => setDragged(String(active.id))}
      onDragCancel={() => setDragged(null)}
      onDragEnd={onDragEnd}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {swatch && <ColorChip css={swatch.color} className="size-9 shadow-[0_4px_12px_var(--veil-modal)]" />}
      </DragOverlay>
    </DndContext>
  );
}
