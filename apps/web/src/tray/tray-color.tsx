import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { dropCommand, takeOut } from '@mint-lamp/core/document/tray/arrangement';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import clsx from 'clsx';
import { useState } from 'react';
import type { DropPlace } from '../dragging/color-dragging.tsx';
import { SORT_MOTION } from '../dragging/sort-motion.ts';
import { edit } from '../store/editing.ts';
import { selected } from '../store/interface-slice.ts';
import { selectDocument } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { ColorChip } from '../ui/color-chip.tsx';
import { NameInPlace } from './name-in-place.tsx';
import type { Picked } from './use-picked.ts';

interface TrayColorProps {
  swatch: Swatch;
  picked: Picked;
  arrived: boolean;
}

/** One colour of the tray: lit by a click, chosen with others, dragged, renamed where it stands. */
export function TrayColor({ swatch, picked, arrived }: TrayColorProps) {
  const dispatch = useAppDispatch();
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const lit = useAppSelector(
    ({ interface: { selection } }) => selection?.kind === 'swatch' && selection.swatch === swatch.id,
  );
  const [naming, setNaming] = useState(false);
  const isPicked = picked.ids.size > 1 && picked.ids.has(swatch.id);
  const place: DropPlace = {
    take: (_color, _name, moved) => {
      const ids = picked.ids.has(moved) ? picked.ids : new Set([moved]);
      if (!ids.has(swatch.id)) dispatch(edit(dropCommand(tray, ids, swatch)));
    },
  };
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: swatch.id,
    data: place,
    ...SORT_MOTION,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx('max-w-36 min-w-19 shrink-0', isDragging && 'opacity-40', arrived && 'arrives')}
    >
      {naming ? (
        <div className="flex h-15 w-19 flex-col items-center gap-0.5 p-1">
          <ColorChip css={swatch.color} className="h-7 w-full" />
          <NameInPlace
            label={`Name of ${swatch.name}`}
            value={swatch.name}
            onDone={(name) => {
              setNaming(false);
              if (name && name !== swatch.name)
                dispatch(edit({ type: 'renameSwatch', swatch: swatch.id, name }));
            }}
          />
        </div>
      ) : (
        <button
          type="button"
          {...attributes}
          {...listeners}
          aria-roledescription="colour that can be dragged"
          aria-pressed={lit || isPicked}
          title={`${swatch.name}, ${swatch.color}: ${describeColor(readColor(swatch.color))}`}
          onClick={(event) => {
            if (event.shiftKey) picked.pick(swatch.id, 'range');
            else if (event.ctrlKey || event.metaKey) picked.pick(swatch.id, 'toggle');
            else {
              picked.pick(swatch.id, 'alone');
              dispatch(selected({ kind: 'swatch', swatch: swatch.id }));
            }
          }}
          onDoubleClick={() => setNaming(true)}
          onKeyDown={(event) => {
            if (event.key === 'Delete' || event.key === 'Backspace') {
              event.preventDefault();
              const ids = isPicked ? [...picked.ids] : [swatch.id];
              dispatch(edit(takeOut(ids)));
            } else if (event.key === 'F2') setNaming(true);
            else if (event.key === 'x') picked.pick(swatch.id, event.shiftKey ? 'range' : 'toggle');
            else listeners?.onKeyDown?.(event);
          }}
          className={clsx(
            'flex h-15 w-full flex-col items-center gap-0.5 rounded-md p-1 -outline-offset-2 hover:bg-pressed',
            (lit || isPicked) && 'bg-pressed',
          )}
        >
          <ColorChip
            css={swatch.color}
            className={clsx('h-7 w-full', (lit || isPicked) && 'ring-2 ring-main')}
          />
          <span className="w-full truncate text-center text-sm leading-tight">{swatch.name}</span>
        </button>
      )}
    </li>
  );
}
