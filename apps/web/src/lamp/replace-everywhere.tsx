import type { Command } from '@mint-lamp/core/document/commands/command';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { countUses, type FamilyLink, relinked, usesOfFamily } from '@mint-lamp/core/edits/links/relink';
import { useMemo } from 'react';
import { useStore } from 'react-redux';
import { toast } from 'sonner';
import type { SelectionOf } from '../kinds/lit-color.ts';
import { LinkPicker } from '../links/link-picker.tsx';
import { useEditing } from '../store/editing.ts';
import { selectProject, useDocumentPart } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';
import { Button } from '../ui/button.tsx';

interface ReplaceEverywhereProps {
  selection: SelectionOf<'base' | 'shade'>;
  onDone: () => void;
}

/**
 * Lets everything that points to a shade or a base point to something else, in every theme: seen while it is pointed
 * at, and one undo.
 */
export default function ReplaceEverywhere({ selection, onDone }: ReplaceEverywhereProps) {
  const store = useStore() as AppStore;
  const roles = useDocumentPart('roles');
  const gradients = useDocumentPart('gradients');
  const { tryEdit, preview } = useEditing();
  const isOne = (link: FamilyLink) =>
    selection.kind === 'base' ? link.to === 'base' : link.to === 'shade' && link.shade === selection.shade;
  const now = () => selectProject(store.getState()).document;
  const uses = () => usesOfFamily(now(), selection.family, isOne);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only these parts hold links
  const count = useMemo(() => countUses(uses()), [roles, gradients, selection]);
  if (!count) return <p className="text-sm text-quiet">Nothing points to it, in any theme.</p>;
  const own: Link =
    selection.kind === 'base'
      ? { to: 'base', family: selection.family }
      : { to: 'shade', family: selection.family, shade: selection.shade };
  const command = (target: Link): Command => {
    const document = now();
    return {
      type: 'batch',
      label: `replace ${linkName(document, own)} by ${linkName(document, target)} everywhere`,
      commands: relinked(document, uses(), () => target),
    };
  };
  const replace = (to: Link) => {
    const refused = tryEdit(command(to));
    if (refused) return refused;
    onDone();
    toast(`${count === 1 ? 'One link leads' : `${count} links lead`} there now; one undo takes it back`);
    return null;
  };
  return (
    <LinkPicker
      link={null}
      opaque
      startOpen
      label={`Replace ${linkName(now(), own)} everywhere`}
      onPick={replace}
      onPreview={(to) => preview(to && command(to))}
      trigger={<Button small>Replace its {count === 1 ? 'use' : `${count} uses`} …</Button>}
    />
  );
}
