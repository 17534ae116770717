import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { useCallback, useEffect, useState } from 'react';
import { loadCheckpoint } from '../store/api.ts';
import { selectProject, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

export const NOW = 'now';

// A checkpoint never changes.
const known = new Map<string, ProjectDocument>();
const MOST_KNOWN = 12;

/** The document of a checkpoint, or of now; null until it has come, or while none is wanted. */
export function useStateOf(checkpoint: string | null) {
  const id = useProjectId();
  const present = useAppSelector((state) => selectProject(state).document);
  const [fault, setFault] = useState<string | null>(null);
  const [, setCome] = useState(0);
  const load = useCallback(() => {
    setFault(null);
    if (checkpoint === null || checkpoint === NOW || known.has(checkpoint)) return;
    loadCheckpoint(id, checkpoint).then(
      ({ document }) => {
        for (const oldest of known.keys()) {
          if (known.size < MOST_KNOWN) break;
          known.delete(oldest);
        }
        known.set(checkpoint, document);
        setCome((n) => n + 1);
      },
      (error: Error) => setFault(error.message),
    );
  }, [id, checkpoint]);
  useEffect(load, [load]);
  const document =
    checkpoint === NOW ? present : checkpoint === null ? null : (known.get(checkpoint) ?? null);
  return { document, fault, again: load };
}
