import { linksToBase } from '@mint-lamp/core/edits/families/link-to-base';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { useMemo, useState } from 'react';
import { useStore } from 'react-redux';
import { useEditing } from '../../../store/editing.ts';
import { selectDocument, useDocumentPart } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';

/**
 * Says at once, also while it is dragged, that the base has left the shade that roles and stops point to; they can be
 * linked to the base itself.
 */
export function PartedFromBase({ resolved }: { resolved: ResolvedFamily }) {
  const { family, base } = resolved;
  /** Where the base stood when the family was opened. */
  const [stood] = useState(base.label);
  const store = useStore() as AppStore;
  const roles = useDocumentPart('roles');
  const gradients = useDocumentPart('gradients');
  const { edit } = useEditing();
  const parted = base.label !== stood && stood !== '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: only these parts hold links
  const commands = useMemo(
    () => (parted ? linksToBase(selectDocument(store.getState()), family.id, stood) : []),
    [parted, roles, gradients, family.id, stood],
  );
  if (!commands.length) return null;
  const n = commands.length;
  return (
    <p role="status" className="mt-2 flex items-center gap-3 text-look">
      <span>
        {n === 1 ? 'One link stays' : `${n} links stay`} at {stood}, which the base has left for {base.label}.
      </span>
      <Button
        small
        onClick={() =>
          edit({ type: 'batch', label: `link what was at ${stood} to the base of ${family.name}`, commands })
        }
      >
        Link {n === 1 ? 'it' : 'them'} to the base
      </Button>
    </p>
  );
}
