import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Dialog } from '../ui/dialog.tsx';
import { part } from '../ui/part.tsx';

const RenameFields = part(() => import('./rename-fields.tsx'), <p className="text-quiet">Opening …</p>);

/** Renames what is lit, and the project. */
export function RenameDialog() {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.interface.dialog === 'rename');
  return (
    <Dialog
      open={open}
      onOpenChange={(next) => dispatch(dialogOpened(next ? 'rename' : null))}
      title="Rename"
      description="Press Enter to save. Links, pairs and gradients keep pointing to the same things."
    >
      <RenameFields />
    </Dialog>
  );
}
