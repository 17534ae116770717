import type { ShelfSet } from '@mint-lamp/core/wire/shelf';
import { useState } from 'react';
import { useEditing } from '../../../store/editing.ts';
import { useProjectDocument } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { ColorChip } from '../../../ui/color-chip.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { type Become, BecomeChoice } from '../taking/become.tsx';
import { SetBar } from './set-bar.tsx';
import { adoptCommand, willAdd } from './set-commands.ts';

interface AdoptSetProps {
  set: ShelfSet;
  onClose: () => void;
  onAdopted: (set: ShelfSet, as: Become) => void;
  /** A whole system is read as a style sheet, where it is taken whole or in part. */
  onRead: (set: ShelfSet, css: string) => void;
}

/** Adopts a set: what it will add is shown first, and is one edit. */
export function AdoptSet({ set, onClose, onAdopted, onRead }: AdoptSetProps) {
  const document = useProjectDocument();
  const { tryEdit } = useEditing();
  const [as, setAs] = useState<Become>('tray');
  const [fault, setFault] = useState<string | null>(null);
  const { content } = set;
  const adopt = () => {
    if (content.kind === 'system') return onRead(set, content.css);
    const command = adoptCommand(document, set, as);
    const refused = command ? tryEdit(command) : 'This gradient has a stop that a project cannot hold.';
    if (refused) setFault(refused);
    else onAdopted(set, as);
  };
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={`Adopt ${set.name}`}>
      <SetBar content={content} colors={set.colors} />
      <p className="my-3">
        This adds <b>{willAdd(set, as)}</b>.
      </p>
      {content.kind === 'palette' && (
        <>
          <ul className="mb-3 grid max-h-48 grid-cols-2 gap-x-6 overflow-auto">
            {content.colors.map(({ name, color }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a colour may come twice
              <li key={i} className="flex items-center gap-2 py-0.5">
                <ColorChip css={color} className="size-5" />
                <span className="min-w-0 flex-1 truncate">{name}</span>
                <span className="font-mono text-sm">{color}</span>
              </li>
            ))}
          </ul>
          <BecomeChoice label="Its colours become" value={as} onChange={setAs} className="mb-4" />
        </>
      )}
      {fault && (
        <p role="alert" className="mb-2 text-fail">
          {fault}
        </p>
      )}
      <Button look="primary" onClick={adopt}>
        {content.kind === 'system' ? 'Preview it' : 'Adopt'}
      </Button>
    </Dialog>
  );
}
