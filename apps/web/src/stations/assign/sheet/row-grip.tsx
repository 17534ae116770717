import type { useSortable } from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';

interface RowGripProps {
  name: string;
  sorted: ReturnType<typeof useSortable>;
  /** Puts it one row up (−1) or down (1). */
  onStep: (way: -1 | 1) => void;
}

/** By what a row of the sheet is put elsewhere: dragged, or moved by the up and down arrow keys. */
export function RowGrip({ name, sorted, onStep }: RowGripProps) {
  return (
    <button
      ref={sorted.setActivatorNodeRef}
      type="button"
      {...sorted.attributes}
      {...sorted.listeners}
      aria-roledescription="row that can be moved"
      aria-label={`Move ${name}`}
      title={`Move ${name}: drag it, or press the up and down arrow keys`}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : null;
        if (way === null || sorted.isDragging) sorted.listeners?.onKeyDown?.(event);
        else {
          event.preventDefault();
          onStep(way);
        }
      }}
      className="absolute inset-y-0 -left-1 flex w-4 cursor-grab touch-none items-center rounded-md text-quiet opacity-0 group-hover/row:opacity-100 focus-visible:opacity-100 pointer-coarse:opacity-100"
    >
      <GripVertical aria-hidden className="size-4" />
    </button>
  );
}
