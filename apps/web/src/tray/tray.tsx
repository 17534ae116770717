import { horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import type { Swatch } from '@mint-lamp/core/system/tray/swatch';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { DropPlace } from '../dragging/color-dragging.tsx';
import { edit } from '../store/editing.ts';
import { selected } from '../store/interface-slice.ts';
import { selectDocument } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { Popover, PopoverClose } from '../ui/popover.tsx';
import { AddColor } from './add-color.tsx';

/** The strip of collected colours; it stays until it is cleared. */
export function Tray() {
  const tray = useAppSelector((state) => selectDocument(state).tray);
  return (
    <section
      id="tray"
      aria-label="Tray"
      className="col-span-2 flex min-w-0 items-center gap-3 border-t border-hair bg-sunken px-3"
    >
      <h2 className="shrink-0 font-title font-semibold">
        Tray <span className="font-sans text-sm font-normal text-quiet">{tray.length}</span>
      </h2>
      <SortableContext items={tray.map((swatch) => swatch.id)} strategy={horizontalListSortingStrategy}>
        <ul className="flex min-w-0 flex-1 items-center gap-1 overflow-x-auto py-1">
          {tray.map((swatch, i) => (
            <TrayColor key={swatch.id} swatch={swatch} index={i} />
          ))}
          {!tray.length && <li className="text-quiet">Colours that you collect at Gather wait here.</li>}
        </ul>
      </SortableContext>
      <AddColor />
      <ClearTray count={tray.length} />
    </section>
  );
}

function TrayColor({ swatch, index }: { swatch: Swatch; index: number }) {
  const dispatch = useAppDispatch();
  const lit = useAppSelector(
    ({ interface: { selection } }) => selection?.kind === 'swatch' && selection.swatch === swatch.id,
  );
  const place: DropPlace = {
    take: (_color, _name, moved) => dispatch(edit({ type: 'moveSwatch', swatch: moved, index })),
  };
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: swatch.id,
    data: place,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx('shrink-0', isDragging && 'opacity-40')}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-roledescription="colour that can be dragged"
        aria-pressed={lit}
        title={`${swatch.name}, ${swatch.color}: ${describeColor(readColor(swatch.color))}`}
        onClick={() => dispatch(selected({ kind: 'swatch', swatch: swatch.id }))}
        onKeyDown={(event) => {
          if (event.key === 'Delete' || event.key === 'Backspace') {
            event.preventDefault();
            dispatch(edit({ type: 'removeSwatch', swatch: swatch.id }));
          } else listeners?.onKeyDown?.(event);
        }}
        className={clsx(
          'flex w-16 flex-col items-center gap-0.5 rounded-md p-1 -outline-offset-2 hover:bg-pressed',
          lit && 'bg-pressed',
        )}
      >
        <ColorChip css={swatch.color} className={clsx('h-7 w-full', lit && 'ring-2 ring-main')} />
        <span className="w-full truncate text-xs leading-tight">{swatch.name}</span>
      </button>
    </li>
  );
}

function ClearTray({ count }: { count: number }) {
  const dispatch = useAppDispatch();
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const [open, setOpen] = useState(false);
  if (!count) return null;
  const clear = () => {
    const commands = tray.map(({ id }) => ({ type: 'removeSwatch', swatch: id }) as const);
    dispatch(edit({ type: 'batch', label: 'clear the tray', commands }));
    setOpen(false);
  };
  return (
    <Popover
      label="Clear the tray"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button small look="quiet" aria-label="Clear the tray">
          <Trash2 aria-hidden className="size-4" />
        </Button>
      }
    >
      <p className="mb-2">Take all {count} colours out of the tray? Undo brings them back.</p>
      <div className="flex gap-2">
        <Button look="danger" onClick={clear}>
          Clear the tray
        </Button>
        <PopoverClose asChild>
          <Button>Keep them</Button>
        </PopoverClose>
      </div>
    </Popover>
  );
}
