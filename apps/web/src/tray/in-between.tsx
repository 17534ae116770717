import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import { inBetween } from '@mint-lamp/core/harmony/in-between';
import { useMemo, useState } from 'react';
import { newSwatches } from '../kinds/tray/new-swatches.ts';
import { edit } from '../store/editing.ts';
import { useAppDispatch } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { NumberField } from '../ui/number-field.tsx';
import { Popover, PopoverClose } from '../ui/popover.tsx';

const USUAL = 3;
const MOST = 9;

interface InBetweenProps {
  tray: readonly Swatch[];
  /** The chosen colours; there is something in between for just two. */
  ids: ReadonlySet<string>;
}

/** One to nine colours in between two of the tray, evenly to the eye, put where they belong: between the two. */
export function InBetween({ tray, ids }: InBetweenProps) {
  const [a, b] = tray.filter(({ id }) => ids.has(id));
  if (ids.size !== 2 || !a || !b) return null;
  return (
    <Popover label="In between" align="end" trigger={<Button small>In between …</Button>}>
      <Choice tray={tray} a={a} b={b} />
    </Popover>
  );
}

function Choice({ tray, a, b }: { tray: readonly Swatch[]; a: Swatch; b: Swatch }) {
  const dispatch = useAppDispatch();
  const [count, setCount] = useState(USUAL);
  const colors = useMemo(
    () => inBetween(readColor(a.color), readColor(b.color), count).map((color) => canonical(color)),
    [a.color, b.color, count],
  );
  const put = () => {
    const at = tray.findIndex(({ id }) => id === a.id) + 1;
    const commands = newSwatches(colors).map((swatch, i) => ({
      type: 'addSwatch' as const,
      swatch: { ...swatch, group: a.group },
      index: at + i,
    }));
    dispatch(edit({ type: 'batch', label: `put ${count} between ${a.name} and ${b.name}`, commands }));
  };
  return (
    <div className="w-72">
      <div className="mb-3 flex h-10 overflow-hidden rounded-md border border-hair">
        {[a.color, ...colors, b.color].map((color, i) => (
          <ColorChip
            // biome-ignore lint/suspicious/noArrayIndexKey: a colour is its place on the way
            key={i}
            css={color}
            className="h-full min-w-0 flex-1 shrink! rounded-none! border-0!"
          />
        ))}
      </div>
      <div className="flex items-end gap-2">
        <NumberField
          label="How many"
          value={count}
          min={1}
          max={MOST}
          className="w-24"
          onCommit={(next) => setCount(Math.round(next))}
        />
        <PopoverClose asChild>
          <Button look="primary" onClick={put}>
            Add them between
          </Button>
        </PopoverClose>
      </div>
    </div>
  );
}
