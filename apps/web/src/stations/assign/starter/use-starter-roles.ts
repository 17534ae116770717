import type { StarterPart } from '@mint-lamp/core/edits/roles/starter-parts';
import { type StarterRoles, starterRoles } from '@mint-lamp/core/edits/roles/starter-roles';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectProject } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';

const USUAL: ReadonlySet<StarterPart> = new Set(['page', 'text', 'line', 'action', 'focus']);

/** Starter roles that stand on the sheet until they are taken. */
export interface ProposedRoles extends StarterRoles {
  readonly parts: ReadonlySet<StarterPart>;
  readonly setParts: (parts: ReadonlySet<StarterPart>) => void;
  readonly take: () => string | null;
  readonly leave: () => void;
}

/** Proposes the usual roles that the project has not, part by part, linked to its families, on the sheet. */
export function useStarterRoles() {
  const document = useAppSelector((state) => selectProject(state).document);
  const { tryEdit, preview } = useEditing();
  const [parts, setParts] = useState<ReadonlySet<StarterPart> | null>(null);
  const starter = useMemo(() => parts && starterRoles(document, parts, newId), [document, parts]);
  const command = useMemo(
    () =>
      starter?.names.length
        ? ({ type: 'batch', label: 'add starter roles', commands: starter.commands } as const)
        : null,
    [starter],
  );
  useEffect(() => {
    if (!parts) return;
    preview(command);
    return () => preview(null);
  }, [parts, command, preview]);
  const begin = useCallback(() => setParts(USUAL), []);
  if (!parts || !starter) return { proposed: null, begin };
  const proposed: ProposedRoles = {
    ...starter,
    parts,
    setParts,
    take() {
      const refused = command && tryEdit(command);
      if (!refused) setParts(null);
      return refused;
    },
    leave: () => setParts(null),
  };
  return { proposed, begin };
}
