import type { ListedProject } from '@mint-lamp/core/wire/projects';
import { useCallback, useEffect, useState } from 'react';
import { reasonOf } from '../fetching/api.ts';
import { useProjectsQuery, useProjectsState } from '../fetching/projects-api.ts';
import { deliverWaiting } from '../store/deliver-waiting.ts';
import { watchLeftBehind } from '../storing/unsent.ts';

const RETRY_MS = 2000;

interface Projects {
  /** Null until they have come. */
  readonly projects: readonly ListedProject[] | null;
  /** Why there is no newer list, in words; it is asked for again. */
  readonly problem: string | null;
  readonly reload: () => void;
}

/** The owner's projects; what closed tabs have left behind for them is sent, which changes their pictures. */
export function useProjects(): Projects {
  const { isError } = useProjectsState();
  const [undelivered, setUndelivered] = useState<string | null>(null);
  const pollingInterval = isError || undelivered !== null ? RETRY_MS : 0;
  const { data, error, refetch, fulfilledTimeStamp } = useProjectsQuery(undefined, { pollingInterval });
  const reload = useCallback(() => void refetch(), [refetch]);
  useEffect(() => watchLeftBehind(reload), [reload]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: with every answer, also when it is the same as before
  useEffect(() => {
    if (!data) return;
    let left = false;
    deliverWaiting(data.map(({ id }) => id)).then(
      (sent) => {
        if (left) return;
        setUndelivered(null);
        if (sent) reload();
      },
      (refused) => left || setUndelivered(reasonOf(refused)),
    );
    return () => {
      left = true;
    };
  }, [data, fulfilledTimeStamp, reload]);
  return { projects: data ?? null, problem: error ? reasonOf(error) : undelivered, reload };
}
