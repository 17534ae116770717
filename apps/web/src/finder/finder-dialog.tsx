import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Dialog } from '../ui/dialog.tsx';
import { part } from '../ui/part.tsx';

const FinderList = part(() => import('./finder-list.tsx'), <p className="text-quiet">Opening …</p>);

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
      <FinderList onDone={() => dispatch(dialogOpened(null))} />
    </Dialog>
  );
}
