import { MOST_IN_BATCH } from '@mint-lamp/core/document/commands/command';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { commandsBetween } from '@mint-lamp/core/edits/compare/commands-between';
import { type Portion, portionKey } from '@mint-lamp/core/edits/compare/parts';
import { restoredIn, withNeeds } from '@mint-lamp/core/edits/compare/restored';
import { useCallback, useMemo, useState } from 'react';
import { useEditing } from '../store/editing.ts';
import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

/** The choice of what is restored. */
export interface Restoring {
  readonly chosen: ReadonlyMap<string, Portion>;
  readonly toggle: (parts: readonly Portion[], on: boolean) => void;
  /** What the chosen parts need besides themselves, and is restored with them. */
  readonly alsoNeeded: readonly Portion[];
  /** Each returns why it was refused, or null. */
  readonly restoreChosen: () => string | null;
  readonly restoreWhole: () => string | null;
}

/** Makes the open project another state of it, `then`, an earlier one or one from a file: whole or in chosen parts, as one edit with one undo. */
export function useRestoring(then: ProjectDocument | null, name: string, verb = 'restore'): Restoring {
  const now = useAppSelector((state) => selectProject(state).document);
  const { tryEdit } = useEditing();
  const [chosen, setChosen] = useState<ReadonlyMap<string, Portion>>(new Map());
  const toggle = useCallback((parts: readonly Portion[], on: boolean) => {
    setChosen((old) => {
      const next = new Map(old);
      for (const part of parts) {
        if (on) next.set(portionKey(part), part);
        else next.delete(portionKey(part));
      }
      return next;
    });
  }, []);
  const alsoNeeded = useMemo(() => {
    if (!then || !chosen.size) return [];
    return withNeeds(now, then, [...chosen.values()]).filter((part) => !chosen.has(portionKey(part)));
  }, [now, then, chosen]);
  const make = (wanted: ProjectDocument, label: string): string | null => {
    const commands = commandsBetween(now, wanted);
    if (!commands.length) return 'That is as it is now already.';
    if (commands.length > MOST_IN_BATCH)
      return 'So much differs that it cannot be taken back in one step; restore it in smaller parts.';
    const refused = tryEdit({ type: 'batch', label, commands });
    if (!refused) setChosen(new Map());
    return refused;
  };
  return {
    chosen,
    toggle,
    alsoNeeded,
    restoreChosen: () =>
      then && make(restoredIn(now, then, [...chosen.values(), ...alsoNeeded]), `${verb} parts of ${name}`),
    restoreWhole: () => then && make(then, `${verb} ${name}`),
  };
}
