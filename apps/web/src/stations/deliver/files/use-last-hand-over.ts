import type { FormId } from '@mint-lamp/core/document/delivery/forms';
import type { ProjectDocument } from '@mint-lamp/core/document/document';
import type { HandOver } from '@mint-lamp/core/wire/hand-overs';
import { skipToken } from '@reduxjs/toolkit/query';
import { useMemo } from 'react';
import { useHandedStateQuery, useHandOversQuery } from '../../../fetching/hand-overs-api.ts';
import { useProjectId } from '../../../store/selectors.ts';

/** The last hand-over in which a form went out, with the project as it was then and what was chosen; null where there is none. */
export function useLastHandOver(form: FormId): {
  readonly handOver: HandOver | null;
  readonly document: ProjectDocument | null;
} {
  const project = useProjectId();
  const { currentData: list } = useHandOversQuery(project);
  const handOver = list?.find(({ forms }) => forms.includes(form)) ?? null;
  const { currentData } = useHandedStateQuery(handOver ? { project, handOver: handOver.id } : skipToken, {
    // It never changes.
    refetchOnMountOrArgChange: false,
  });
  const document = useMemo(() => {
    if (!handOver || !currentData) return null;
    const { leftOut, choices } = handOver;
    return { ...currentData, delivery: { ...currentData.delivery, leftOut, choices } };
  }, [handOver, currentData]);
  return { handOver, document };
}
