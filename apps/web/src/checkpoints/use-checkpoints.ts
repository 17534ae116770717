import type { Checkpoint } from '@mint-lamp/core/wire/checkpoints';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { toast } from 'sonner';
import { reasonOf } from '../fetching/api.ts';
import {
  useCheckpointsQuery,
  useRemoveCheckpointMutation,
  useRenameCheckpointMutation,
  useSaveCheckpointMutation,
} from '../fetching/checkpoints-api.ts';
import { useProjectId } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';
import { whenSaved } from '../store/when-saved.ts';

export interface Checkpoints {
  /** The newest first; null until they have come. */
  readonly list: readonly Checkpoint[] | null;
  /** Why there is no newer list, in words. */
  readonly fault: string | null;
  readonly again: () => void;
  /** Each returns why it was refused, in words, or null. */
  readonly save: (name: string) => Promise<string | null>;
  readonly rename: (checkpoint: string, name: string) => Promise<string | null>;
  readonly remove: (checkpoint: Checkpoint) => Promise<void>;
}

/** The checkpoints of the open project, as the server has them. */
export function useCheckpoints(): Checkpoints {
  const project = useProjectId();
  const store = useStore() as AppStore;
  const { currentData, error, isFetching, refetch } = useCheckpointsQuery(project);
  const [saveAt] = useSaveCheckpointMutation();
  const [renameTo] = useRenameCheckpointMutation();
  const [removeOne] = useRemoveCheckpointMutation();
  const save = useCallback(
    async (name: string) => {
      try {
        await saveAt({ project, name, revision: await whenSaved(store, project) }).unwrap();
        return null;
      } catch (refused) {
        return reasonOf(refused);
      }
    },
    [project, store, saveAt],
  );
  const rename = useCallback(
    async (checkpoint: string, name: string) => {
      const { error: refused } = await renameTo({ project, checkpoint, name });
      return refused ? reasonOf(refused) : null;
    },
    [project, renameTo],
  );
  const remove = useCallback(
    async ({ id: checkpoint, name, revision }: Checkpoint) => {
      const { error: refused } = await removeOne({ project, checkpoint });
      if (refused) {
        toast.error(reasonOf(refused));
        return;
      }
      const back = async () => {
        const { error: notBack } = await saveAt({ project, name, revision });
        if (notBack) toast.error(reasonOf(notBack));
      };
      toast(`The checkpoint ${name} is removed.`, {
        action: { label: 'Keep it after all', onClick: () => void back() },
      });
    },
    [project, removeOne, saveAt],
  );
  return {
    list: currentData ?? null,
    fault: error && !isFetching ? reasonOf(error) : null,
    again: () => void refetch(),
    save,
    rename,
    remove,
  };
}
