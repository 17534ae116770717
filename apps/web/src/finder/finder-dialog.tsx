import { lazy, Suspense, useEffect } from 'react';
import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Dialog } from '../ui/dialog.tsx';

const load = () => import('./finder-list.tsx');
const FinderList = lazy(load);
const QUIET_MS = 1500;

/** The finder (Mod+K): go to or do anything, by name. */
export function Finder() {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.interface.dialog === 'finder');
  // Fetched ahead, so that what is typed right after Mod+K is not lost.
  useEffect(() => {
    const timer = setTimeout(load, QUIET_MS);
    return () => clearTimeout(timer);
  }, []);
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
