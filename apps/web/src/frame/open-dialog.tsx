import { Finder } from '../finder/finder-dialog.tsx';
import { RenameDialog } from './rename-dialog.tsx';
import { ShortcutSheet } from './shortcut-sheet.tsx';

/** The dialog of the frame that is open; fetched when the first is. */
export default function OpenDialog() {
  return (
    <>
      <Finder />
      <ShortcutSheet />
      <RenameDialog />
    </>
  );
}
