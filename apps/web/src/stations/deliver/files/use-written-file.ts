import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { withSignedNotes } from '@mint-lamp/core/document/notes/signed-notes';
import type { FileFormatId } from '@mint-lamp/core/exchange/file-formats';
import type { Written } from '@mint-lamp/core/exchange/handed-over';
import { useMemo } from 'react';
import { useNameOf } from '../../../fetching/use-names.ts';
import { useJob } from '../../../jobs/use-job.ts';
import { selectProject, useProjectDocument, useProjectId, useRegions } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';

export interface WrittenForm {
  /** Of the form that is asked for; null until it is there. */
  readonly content: Written | null;
  /** How a page begins that is too large to be shown as one. */
  readonly beginning: string | null;
  readonly changed: ReadonlySet<number> | null;
  readonly needed: readonly string[];
  /** What would not come back from the file. */
  readonly lost: readonly string[];
  /** Ids of the gradients in it that engines paint otherwise than each other. */
  readonly otherwise: readonly string[];
  readonly busy: boolean;
  readonly progress: number;
  readonly fault: string | null;
  readonly again: () => void;
}

/** Forms that say of which revision they are. */
const DATED: readonly FileFormatId[] = ['page', 'pdf'];
const NONE: readonly string[] = [];

/** A file of the present state, written off the page's thread; what was written before stays until the next is there. */
export function useWrittenFile(form: FileFormatId, before: ProjectDocument | null): WrittenForm {
  const document = useProjectDocument();
  const regions = useRegions();
  const nameOf = useNameOf(useProjectId());
  // Only what says it is written anew when the server has an edit.
  const revision = useAppSelector((state) => {
    const { unsent, revision: saved } = selectProject(state);
    return DATED.includes(form) && !unsent.length ? saved : null;
  });
  // One and the same for all forms, so that it is copied to where they are written but once.
  const signed = useMemo(() => withSignedNotes(document, nameOf), [document, nameOf]);
  const input = useMemo(
    () => ({
      document: signed,
      form,
      regions,
      revision,
      before,
      at: new Date().toISOString(),
    }),
    [signed, form, regions, revision, before],
  );
  const job = useJob('writeFile', input);
  const result = job.result?.form === form ? job.result : null;
  const changed = useMemo(() => (result?.changed ? new Set(result.changed) : null), [result]);
  return {
    content: result?.content ?? null,
    beginning: result?.beginning ?? null,
    changed,
    needed: result?.needed ?? NONE,
    lost: result?.lost ?? NONE,
    otherwise: result?.otherwise ?? NONE,
    busy: job.busy,
    progress: job.progress,
    fault: job.fault,
    again: job.again,
  };
}
