import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { Keeping } from '@mint-lamp/core/edits/rounds/kept';
import { useEffect, useState } from 'react';
import { ofTab } from '../../../storing/storage.ts';

/** What the next round is asked for. */
export interface Draft extends Keeping {
  /** Colours besides those that are kept and those of free families. */
  readonly more: number;
  /** 0–1. */
  readonly stray: number;
}

export const MOST_MORE = 9;
/** Colours of the tray that are kept without being asked. */
const FEW = 5;

/** Before anything is said: the first family, which is mostly the brand's; or what is in the tray. */
function usual({ families, tray }: ProjectDocument): Draft {
  const [first] = families;
  return {
    families: first ? [first.id] : [],
    swatches: first ? [] : tray.slice(0, FEW).map(({ id }) => id),
    roles: [],
    more: first ? 0 : 5,
    stray: 0.5,
  };
}

const strings = (value: unknown) =>
  Array.isArray(value) ? value.filter((one) => typeof one === 'string') : [];
const within = (low: number, high: number, value: unknown, otherwise: number) =>
  typeof value === 'number' && value >= low && value <= high ? value : otherwise;

function read(text: string | null, otherwise: Draft): Draft {
  try {
    const stored = JSON.parse(text ?? 'null') as Partial<Record<keyof Draft, unknown>> | null;
    if (!stored) return otherwise;
    return {
      families: strings(stored.families),
      swatches: strings(stored.swatches),
      roles: strings(stored.roles),
      more: Math.round(within(0, MOST_MORE, stored.more, otherwise.more)),
      stray: within(0, 1, stored.stray, otherwise.stray),
    };
  } catch {
    return otherwise;
  }
}

/** What the next round is asked for; it stays while the tab is open. */
export function useDraft(projectId: string, document: ProjectDocument) {
  const key = `mint-lamp/proposals/${projectId}`;
  const [draft, setDraft] = useState(() => read(ofTab.read(key), usual(document)));
  // What is usual depends on what is there: once something of it is kept, it stays what it was.
  useEffect(() => {
    if (draft.families.length + draft.swatches.length) ofTab.write(key, JSON.stringify(draft));
  }, [key, draft]);
  const set = (part: Partial<Draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    ofTab.write(key, JSON.stringify(next));
  };
  return [draft, set] as const;
}
