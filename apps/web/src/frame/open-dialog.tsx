import { Finder } from '../finder/finder-dialog.tsx';
import { askedIn } from '../help/asked-about.ts';
import HelpCard from '../help/help-card.tsx';
import { dialogOpened } from '../store/interface-slice.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { RenameDialog } from './rename-dialog.tsx';
import { ShortcutSheet } from './shortcut-sheet.tsx';

/** The dialog of the frame that is open; fetched when the first is. */
export default function OpenDialog() {
  const dispatch = useAppDispatch();
  const dialog = useAppSelector((state) => state.interface.dialog);
  const asked = dialog?.startsWith('help:') ? askedIn(dialog) : null;
  return (
    <>
      <Finder />
      <ShortcutSheet />
      <RenameDialog />
      {asked && <HelpCard key={dialog} asked={asked} onClose={() => dispatch(dialogOpened(null))} />}
    </>
  );
}
