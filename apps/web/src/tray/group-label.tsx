import { groupCommand } from '@mint-lamp/core/document/tray/arrangement';
import clsx from 'clsx';
import { useState } from 'react';
import { useColorDrop } from '../dragging/color-dragging.tsx';
import { edit } from '../store/editing.ts';
import { selectDocument } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { NameInPlace } from './name-in-place.tsx';
import type { Picked } from './use-picked.ts';

/** The name of a group before its colours: changed where it stands; a colour dropped on it joins the group. */
export function GroupLabel({ name, count, picked }: { name: string; count: number; picked: Picked }) {
  const dispatch = useAppDispatch();
  const tray = useAppSelector((state) => selectDocument(state).tray);
  const [naming, setNaming] = useState(false);
  const { setNodeRef, isOver } = useColorDrop(`tray group ${name}`, (_color, _title, moved) => {
    const ids = picked.ids.has(moved) ? picked.ids : new Set([moved]);
    dispatch(edit(groupCommand(tray, ids, name)));
  });
  return (
    <li
      ref={setNodeRef}
      className={clsx(
        'flex h-15 w-26 shrink-0 flex-col justify-center border-l border-control pl-2',
        isOver && 'bg-pressed',
      )}
    >
      {naming ? (
        <NameInPlace
          label={`Name of the group ${name}`}
          value={name}
          onDone={(to) => {
            setNaming(false);
            if (to !== null && to !== name) dispatch(edit({ type: 'renameSwatchGroup', from: name, to }));
          }}
        />
      ) : (
        <button
          type="button"
          aria-label={`Rename the group ${name}`}
          title="Rename, or clear the name to ungroup"
          onClick={() => setNaming(true)}
          className="line-clamp-2 rounded-[4px] text-left text-sm leading-tight font-semibold hover:bg-pressed"
        >
          {name}
        </button>
      )}
      <span className="text-sm text-quiet">{count}</span>
    </li>
  );
}
