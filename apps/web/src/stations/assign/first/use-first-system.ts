import type { Swatch } from '@mint-lamp/core/document/tray/swatch';
import {
  type FirstChoices,
  type FirstSystem,
  firstSystem,
  MOST_FIRST_COLORS,
} from '@mint-lamp/core/edits/first-system';
import { leadAndAccent } from '@mint-lamp/core/edits/lead-and-accent';
import { STARTER_PARTS } from '@mint-lamp/core/edits/roles/starter-parts';
import { paint } from '@mint-lamp/core/system/painted';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectProject } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';

/** What is chosen of a first system: its colours by their swatches. */
export interface FirstDraft extends Omit<FirstChoices, 'colors'> {
  readonly swatches: readonly string[];
}

/** A first system that stands on the sheet until it is taken. */
export interface ProposedSystem {
  readonly draft: FirstDraft;
  readonly set: (change: Partial<FirstDraft>) => void;
  readonly colors: readonly Swatch[];
  readonly first: FirstSystem | null;
  readonly take: () => string | null;
  readonly leave: () => void;
}

/** The first opaque colours of the tray; the first with a hue leads, and the one farthest from it in hue is the accent. */
function usual(tray: readonly Swatch[]): FirstDraft {
  // What lets something through is rarely meant as a base; it can be chosen all the same.
  const colors = tray.filter(({ color }) => paint(color).alpha === 1).slice(0, MOST_FIRST_COLORS);
  return {
    swatches: colors.map(({ id }) => id),
    ...leadAndAccent(colors.map(({ color }) => color)),
    calm: 0.5,
    level: 'AA',
    parts: new Set(STARTER_PARTS),
  };
}

/** Makes a first system of the tray's colours, and shows it on the sheet until it is taken or left. */
export function useFirstSystem() {
  const document = useAppSelector((state) => selectProject(state).document);
  const { tryEdit, preview } = useEditing();
  const [draft, setDraft] = useState<FirstDraft | null>(null);
  const { tray } = document;
  const colors = useMemo(
    () => (draft ? draft.swatches.flatMap((id) => tray.find((swatch) => swatch.id === id) ?? []) : []),
    [draft, tray],
  );
  const first = useMemo(
    () =>
      draft && colors.length && !document.roles.length
        ? firstSystem(document, { ...draft, colors }, newId)
        : null,
    [draft, colors, document],
  );
  useEffect(() => {
    if (!draft) return;
    preview(first?.command ?? null);
    return () => preview(null);
  }, [draft, first, preview]);
  const begin = useCallback(() => setDraft(usual(tray)), [tray]);
  if (!draft) return { proposed: null, begin };
  const proposed: ProposedSystem = {
    draft,
    set: (change) => setDraft({ ...draft, ...change }),
    colors,
    first,
    take() {
      const refused = first && tryEdit(first.command);
      if (!refused) setDraft(null);
      return refused;
    },
    leave: () => setDraft(null),
  };
  return { proposed, begin };
}
