import type { Checkpoint } from '@mint-lamp/core/wire/checkpoints';
import { useCallback, useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { toast } from 'sonner';
import { listCheckpoints, removeCheckpoint, renameCheckpoint, saveCheckpoint } from '../store/api.ts';
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

const reasonOf = (error: unknown) => (error instanceof Error ? error.message : 'That did not work.');

/** The checkpoints of the open project, as the server has them. */
export function useCheckpoints(): Checkpoints {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const [list, setList] = useState<readonly Checkpoint[] | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const again = useCallback(() => {
    setFault(null);
    listCheckpoints(id).then(
      ({ checkpoints }) => setList(checkpoints),
      (error) => setFault(reasonOf(error)),
    );
  }, [id]);
  useEffect(again, [again]);
  const save = useCallback(
    async (name: string) => {
      try {
        const made = await saveCheckpoint(id, name, await whenSaved(store, id));
        setList((old) => [made, ...(old ?? [])]);
        return null;
      } catch (error) {
        return reasonOf(error);
      }
    },
    [id, store],
  );
  const rename = useCallback(
    async (checkpoint: string, name: string) => {
      try {
        const renamed = await renameCheckpoint(id, checkpoint, name);
        setList((old) => old?.map((one) => (one.id === checkpoint ? renamed : one)) ?? old);
        return null;
      } catch (error) {
        return reasonOf(error);
      }
    },
    [id],
  );
  const remove = useCallback(
    async ({ id: checkpoint, name, revision }: Checkpoint) => {
      try {
        await removeCheckpoint(id, checkpoint);
        setList((old) => old?.filter((one) => one.id !== checkpoint) ?? old);
        const back = async () => {
          try {
            const made = await saveCheckpoint(id, name, revision);
            setList((old) => [made, ...(old ?? [])]);
          } catch (error) {
            toast.error(reasonOf(error));
          }
        };
        toast(`The checkpoint ${name} is removed.`, {
          action: { label: 'Keep it after all', onClick: () => void back() },
        });
      } catch (error) {
        toast.error(reasonOf(error));
      }
    },
    [id],
  );
  return { list, fault, again, save, rename, remove };
}
