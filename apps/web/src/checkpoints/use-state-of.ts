import { skipToken } from '@reduxjs/toolkit/query';
import { reasonOf } from '../fetching/api.ts';
import { useStateAtQuery } from '../fetching/checkpoints-api.ts';
import { selectSettledDocument, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';

export const NOW = 'now';

/** The document of a checkpoint, or of now; null until it has come. */
export function useStateOf(checkpoint: string) {
  const project = useProjectId();
  const present = useAppSelector(selectSettledDocument);
  const { currentData, error, refetch } = useStateAtQuery(
    checkpoint === NOW ? skipToken : { project, checkpoint },
    // It never changes.
    { refetchOnMountOrArgChange: false },
  );
  return {
    document: checkpoint === NOW ? present : (currentData ?? null),
    fault: error && !currentData ? reasonOf(error) : null,
    again: () => {
      if (checkpoint !== NOW) void refetch();
    },
  };
}
