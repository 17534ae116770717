import { numberedName, slug } from '@mint-lamp/core/document/naming/names';
import { groupCommand, takeOut } from '@mint-lamp/core/document/tray/arrangement';
import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import { edit } from '../store/editing.ts';
import { useAppDispatch } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { InBetween } from './in-between.tsx';
import type { Picked } from './use-picked.ts';

interface PickedToolsProps {
  tray: readonly Swatch[];
  picked: Picked;
}

/** What can be done with several colours that are chosen together. */
export default function PickedTools({ tray, picked }: PickedToolsProps) {
  const dispatch = useAppDispatch();
  const { ids } = picked;
  const name = numberedName('Group', new Set(tray.map(({ group }) => slug(group))));
  return (
    <fieldset aria-label="Chosen colours" className="flex items-center gap-1">
      <span className="text-sm whitespace-nowrap">{ids.size} chosen</span>
      <Button small onClick={() => dispatch(edit(groupCommand(tray, ids, name)))}>
        Group
      </Button>
      <InBetween tray={tray} ids={ids} />
      <Button
        small
        onClick={() => {
          if (dispatch(edit(takeOut([...ids])))) picked.clear();
        }}
      >
        Remove
      </Button>
    </fieldset>
  );
}
