import { keyLabel, SHORTCUTS } from '../shortcuts.ts';
import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Dialog } from '../ui/dialog.tsx';

export function ShortcutSheet() {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.interface.dialog === 'shortcuts');
  return (
    <Dialog
      open={open}
      onOpenChange={(next) => dispatch(dialogOpened(next ? 'shortcuts' : null))}
      title="Shortcuts"
    >
      <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
        {SHORTCUTS.map(({ keys, does }) => (
          <div key={keys} className="contents">
            <dt className="justify-self-end font-mono text-sm">{keyLabel(keys)}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
