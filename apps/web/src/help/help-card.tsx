import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { helpOf } from './help-list.ts';
import { HelpPicture } from './help-picture.tsx';

/** What something is and why one would want it, in two sentences, and a picture where that says more. */
export default function HelpCard({ id, onClose }: { id: string; onClose: () => void }) {
  const entry = helpOf(id);
  if (!entry) return null;
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={entry.title}>
      <p>{entry.what}</p>
      <p className="mt-1">{entry.why}</p>
      {entry.picture && <HelpPicture of={entry.picture} />}
      <p className="mt-4">
        <Button look="primary" onClick={onClose}>
          Got it
        </Button>
      </p>
    </Dialog>
  );
}
