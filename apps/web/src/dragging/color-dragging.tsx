import {
  type Announcements,
  DndContext,
  type DragEndEvent,
  DragOverlay,
  KeyboardSensor,
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

/** Makes a place take colours from the tray. `isOver` is true while one hangs over it. */
export function useColorDrop(id: string, take: DropPlace['take'], disabled = false) {
  return useDroppable({ id, data: { take } satisfies DropPlace, disabled });
}

const screenReaderInstructions = {
  draggable: 'Space picks the colour up, the arrow keys move it, Space puts it down, Escape leaves it.',
};

/** Lets colours be dragged from the tray onto anything in the frame that takes one. */
export function ColorDragging({ children }: { children: ReactNode }) {
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const [dragged, setDragged] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const swatch = tray.find((item) => item.id === dragged);
  const nameOf = (id: unknown) => tray.find((item) => item.id === id)?.name ?? 'a place that takes a colour';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} is picked up.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active.id)} is over ${nameOf(over.id)}.` : `${nameOf(active.id)} is over nothing.`,
    onDragEnd: ({ active, over }) =>
      over
        ? `${nameOf(active.id)} is put down at ${nameOf(over.id)}.`
        : `${nameOf(active.id)} stays where it was.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const item = tray.find((other) => other.id === active.id);
    const place = over?.data.current as Partial<DropPlace> | undefined;
    if (item && over && over.id !== active.id) place?.take?.(item.color, item.name, item.id);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={{ announcements, screenReaderInstructions }}
      collisionDetection={(args) => {
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
