import { describeColor } from '@mint-lamp/core/color/describe';
import { readTyped } from '@mint-lamp/core/color/typed';
import { canonical } from '@mint-lamp/core/color/write';
import { nameOf } from '@mint-lamp/core/names/names';
import { useId, useState } from 'react';
import { newSwatches } from '../kinds/tray/new-swatches.ts';
import { edit } from '../store/editing.ts';
import { useAppDispatch } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { ColorChip } from '../ui/color-chip.tsx';

/** One typed colour for the tray; a code that is none is told with corrections to click. */
export default function AddColorForm({ onDone }: { onDone: () => void }) {
  const dispatch = useAppDispatch();
  const id = useId();
  const [text, setText] = useState('');
  const parsed = readTyped(text);
  const proposals = parsed.ok || !text.trim() ? [] : parsed.corrections;
  const typed = parsed.ok ? canonical(parsed.color) : null;
  const add = () => {
    if (!parsed.ok) return;
    const [swatch] = newSwatches([canonical(parsed.color)]);
    if (dispatch(edit({ type: 'addSwatch', swatch: swatch! }))) {
      onDone();
    }
  };
  return (
    <form
      className="w-72"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <label htmlFor={id} className="mb-0.5 block text-sm text-quiet">
        Any CSS colour
      </label>
      <div className="flex gap-2">
        <ColorChip css={typed} className="size-8" />
        <input
          id={id}
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder="#0b5f6b or hsl(187 81% 23%)"
          className="h-8 min-w-0 flex-1 rounded-md border border-control bg-raised px-2 font-mono text-sm"
        />
        <Button type="submit" look="primary" disabled={!parsed.ok}>
          Add
        </Button>
      </div>
      <p role="status" className="mt-1 min-h-5 text-sm text-quiet">
        {parsed.ok
          ? [...new Set([nameOf(parsed.color), describeColor(parsed.color)])].join(': ')
          : text && parsed.reason}
      </p>
      {proposals.length > 0 && (
        <div className="flex flex-wrap gap-1">
          {proposals.map((proposal) => (
            <Button key={proposal} small onClick={() => setText(proposal)}>
              <ColorChip css={proposal} className="size-4" /> <span className="font-mono">{proposal}</span>
            </Button>
          ))}
        </div>
      )}
    </form>
  );
}
