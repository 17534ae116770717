import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import type { Origin } from '../../../store/arrivals-slice.ts';
import { arrive } from '../../../store/arriving.ts';
import { selectProject } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';

/** Takes pictures into the open project; a single one is opened when it has come, several are shown together. */
export function useIncoming(): (origins: readonly Origin[]) => Promise<void> {
  const store = useStore() as AppStore;
  const navigate = useNavigate();
  return useCallback(
    async (origins) => {
      if (!origins.length) return;
      const { id, readOnly } = selectProject(store.getState());
      if (readOnly) {
        toast.error('This project is view only here; the line above says why.');
        return;
      }
      const pictures = addressOf(id, 'gather', 'pictures');
      if (location.pathname !== pictures) navigate(pictures);
      const [only, ...others] = await store.dispatch(arrive(origins));
      // Whoever has gone elsewhere meanwhile is not fetched back.
      if (only && !others.length && location.pathname === pictures)
        navigate(addressOf(id, 'gather', 'pictures', only));
    },
    [store, navigate],
  );
}
