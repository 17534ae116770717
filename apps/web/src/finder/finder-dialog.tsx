import { lazy, Suspense } from 'react';
import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Dialog } from '../ui/dialog.tsx';

export const loadFinder = () => import('./finder-list.tsx');
const FinderList = lazy(loadFinder);

/** The finder (Mod+K): go to or do anything, by name. */
export function Finder() {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.interface.dialog === 'finder');
  return (
    <Dialog
      open={open}
      onOpenChange={(next) => dispatch(dialogOpened(next ? 'finder' : null))}
      title="Finder"
    >
      <Suspense fallback={<p className="text-quiet">Opening …</p>}>
        <FinderList onDone={() => dispatch(dialogOpened(null))} />
      </Suspense>
    </Dialog>
  );
}
