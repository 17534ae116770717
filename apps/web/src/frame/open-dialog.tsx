import { Finder } from '../finder/finder-dialog.tsx';
import HelpCard from '../help/help-card.tsx';
import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { RenameDialog } from './rename-dialog.tsx';
import { ShortcutSheet } from './shortcut-sheet.tsx';

/** The dialog of the frame that is open; fetched when the first is. */
export default function OpenDialog() {
  const dispatch = useAppDispatch();
  const dialog = useAppSelector((state) => state.interface.dialog);
  const asked = dialog?.startsWith('help:') ? dialog.slice('help:'.length) : null;
  return (
    <>
      <Finder />
      <ShortcutSheet />
      <RenameDialog />
      {asked && <HelpCard key={asked} id={asked} onClose={() => dispatch(dialogOpened(null))} />}
    </>
  );
}
