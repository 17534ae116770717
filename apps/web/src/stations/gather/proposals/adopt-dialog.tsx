import { readColor } from '@mint-lamp/core/color/parse';
import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import { slugsOf } from '@mint-lamp/core/document/naming/names';
import type { Round } from '@mint-lamp/core/document/rounds/round';
import { basesOf, type ProposedSystem } from '@mint-lamp/core/edits/rounds/propose-systems';
import { nameOf } from '@mint-lamp/core/names/names';
import { useMemo, useState } from 'react';
import { newFamily } from '../../../kinds/families/new-family.ts';
import { newSwatches } from '../../../kinds/tray/new-swatches.ts';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { type Become, BecomeChoice } from '../taking/become.tsx';

interface AdoptDialogProps {
  round: Round;
  proposal: ProposedSystem;
  name: string;
  onClose: () => void;
  onAdopted: (what: { readonly families: boolean }) => void;
}

/** Adopts a proposal, whole or in part: what would change is shown first, and all of it is one edit. */
export function AdoptDialog({ round, proposal, name, onClose, onAdopted }: AdoptDialogProps) {
  const document = useProjectDocument();
  const { tryEdit } = useEditing();
  const bases = basesOf(document, round, proposal.colors);
  const added = useMemo(
    () => proposal.colors.slice(round.kept.length + round.free.length),
    [proposal, round],
  );
  /** What is left out. */
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const [as, setAs] = useState<Become>(document.families.length ? 'tray' : 'families');
  const [fault, setFault] = useState<string | null>(null);
  const toggle = (key: string) =>
    setWithout((old) => {
      const next = new Set(old);
      if (!next.delete(key)) next.add(key);
      return next;
    });
  const changed = bases.filter(({ family }) => !without.has(family));
  const taken = added.filter((color) => !without.has(color));
  const count = changed.length + taken.length;

  const adopt = () => {
    const used = slugsOf(document.families);
    const swatches = newSwatches(taken);
    const commands: SimpleCommand[] = [
      ...changed.map(({ family, base }) => ({ type: 'setBase' as const, family, color: base })),
      ...swatches.map(
        (swatch): SimpleCommand =>
          as === 'tray'
            ? { type: 'addSwatch', swatch: { ...swatch, group: name } }
            : {
                type: 'addFamily',
                family: newFamily(swatch.color, swatch.name, used),
              },
      ),
    ];
    const command: Command = { type: 'batch', label: `adopt ${name.toLowerCase()}`, commands };
    const refused = tryEdit(command);
    if (refused) setFault(refused);
    else onAdopted({ families: changed.length > 0 || (as === 'families' && taken.length > 0) });
  };

  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Adopt ${name.toLowerCase()}`}
      description="What you keep stays as it is. One undo removes the rest."
    >
      {bases.length > 0 && (
        <fieldset className="mb-4">
          <legend className="mb-1 text-sm text-quiet">New bases; their shades follow</legend>
          <ul className="grid grid-cols-2 gap-x-6">
            {bases.map(({ family, base, was }) => (
              <li key={family}>
                <label className="flex items-center gap-2 py-0.5">
                  <input type="checkbox" checked={!without.has(family)} onChange={() => toggle(family)} />
                  <ColorChip css={was} className="h-6 w-9 rounded-r-none!" />
                  <ColorChip css={base} className="-ml-2 h-6 w-9 rounded-l-none!" />
                  <span className="truncate">{document.families.find(({ id }) => id === family)?.name}</span>
                </label>
              </li>
            ))}
          </ul>
        </fieldset>
      )}
      {added.length > 0 && (
        <fieldset className="mb-4">
          <legend className="mb-1 text-sm text-quiet">More colours</legend>
          <ul className="grid grid-cols-2 gap-x-6">
            {added.map((color) => (
              <li key={color}>
                <label className="flex items-center gap-2 py-0.5">
                  <input type="checkbox" checked={!without.has(color)} onChange={() => toggle(color)} />
                  <ColorChip css={color} className="h-6 w-9" />
                  <span className="font-mono text-sm">{color}</span>
                  <span className="truncate text-sm text-quiet">{nameOf(readColor(color))}</span>
                </label>
              </li>
            ))}
          </ul>
          <BecomeChoice label="More colours become" value={as} onChange={setAs} className="mt-2" />
        </fieldset>
      )}
      {fault && (
        <p role="alert" className="mb-2 text-fail">
          {fault}
        </p>
      )}
      <Button look="primary" disabled={!count} onClick={adopt}>
        {count ? `Adopt ${count}` : 'Nothing selected'}
      </Button>
    </Dialog>
  );
}
