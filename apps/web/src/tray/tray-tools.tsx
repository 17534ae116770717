import { findTwins } from '@mint-lamp/core/color/difference';
import { type SortKey, sortCommand, takeOut, trayAsText } from '@mint-lamp/core/document/tray/arrangement';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import { oklabOf, paint } from '@mint-lamp/core/system/painted';
import { ArrowDownUp, Layers2, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { edit } from '../store/editing.ts';
import { useAppDispatch } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { Confirm } from '../ui/confirm.tsx';
import { CopyButton } from '../ui/copy-button.tsx';
import { part } from '../ui/part.tsx';
import { Popover, PopoverClose } from '../ui/popover.tsx';
import type { Picked } from './use-picked.ts';

interface ToolProps {
  tray: readonly Swatch[];
}

const PickedToolsOf = part(() => import('./picked-tools.tsx'));

/** What can be done with several colours that are chosen together; fetched when there are. */
export function PickedTools({ tray, picked }: ToolProps & { picked: Picked }) {
  if (picked.ids.size < 2) return null;
  return <PickedToolsOf tray={tray} picked={picked} />;
}

const SORTS: readonly (readonly [SortKey, string])[] = [
  ['lightness', 'By lightness'],
  ['hue', 'By hue'],
  ['time', 'By time'],
];

export function SortTray({ tray }: ToolProps) {
  const dispatch = useAppDispatch();
  if (tray.length < 2) return null;
  return (
    <Popover
      label="Sort the tray"
      align="end"
      trigger={
        <Button small look="quiet" aria-label="Sort the tray">
          <ArrowDownUp aria-hidden className="size-4" />
        </Button>
      }
    >
      <p className="mb-2 text-sm text-quiet">Within each group</p>
      <div className="flex flex-col gap-1">
        {SORTS.map(([key, name]) => (
          <PopoverClose key={key} asChild>
            <Button small onClick={() => dispatch(edit(sortCommand(tray, key)))}>
              {name}
            </Button>
          </PopoverClose>
        ))}
      </div>
    </Popover>
  );
}

/** Colours of the tray that can hardly be told apart, told and merged on request. */
export function TwinsInTray({ tray }: ToolProps) {
  const dispatch = useAppDispatch();
  const twins = useMemo(() => {
    const painted = tray.map(({ color }) => paint(color));
    return findTwins(painted.map(oklabOf)).filter(({ a, b }) => painted[a]!.alpha === painted[b]!.alpha);
  }, [tray]);
  if (!twins.length) return null;
  // The one that lies further back goes.
  const extra = [...new Set(twins.map(({ b }) => tray[b]!.id))];
  return (
    <Popover
      label="Near-duplicates in the tray"
      align="end"
      trigger={
        <Button small look="quiet" className="text-look!">
          <Layers2 aria-hidden className="size-4" />{' '}
          {twins.length === 1 ? '1 near-twin' : `${twins.length} near-twins`}
        </Button>
      }
    >
      <ul className="mb-2 flex max-h-60 flex-col gap-1 overflow-auto">
        {twins.slice(0, 50).map(({ a, b, difference }) => (
          <li key={`${a} ${b}`} className="flex items-center text-sm">
            <ColorChip css={tray[a]!.color} className="h-6 w-10 rounded-r-none!" />
            <ColorChip css={tray[b]!.color} className="mr-2 h-6 w-10 rounded-l-none!" />
            {tray[a]!.name} and {tray[b]!.name}
            <span className="ml-2 font-mono text-sm text-quiet">ΔE {difference.toFixed(3)}</span>
          </li>
        ))}
      </ul>
      <PopoverClose asChild>
        <Button onClick={() => dispatch(edit(takeOut(extra)))}>
          Merge: remove {extra.length === 1 ? 'one' : extra.length}
        </Button>
      </PopoverClose>
    </Popover>
  );
}

export function CopyTray({ tray }: ToolProps) {
  if (!tray.length) return null;
  return (
    <CopyButton text={trayAsText(tray)} label="Copy all as text" className="h-[24px] font-sans!">
      Copy all
    </CopyButton>
  );
}

export function ClearTray({ tray }: ToolProps) {
  const dispatch = useAppDispatch();
  if (!tray.length) return null;
  return (
    <Confirm
      label="Clear the tray"
      trigger={
        <Button small look="quiet" aria-label="Clear the tray">
          <Trash2 aria-hidden className="size-4" />
        </Button>
      }
      yes="Clear the tray"
      no="Keep them"
      onYes={() =>
        dispatch(
          edit(
            takeOut(
              tray.map(({ id }) => id),
              'clear the tray',
            ),
          ),
        )
      }
    >
      Remove all {tray.length} colours from the tray? Undo brings them back.
    </Confirm>
  );
}
