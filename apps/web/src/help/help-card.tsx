import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import type { Asked } from './asked-about.ts';
import { helpOf } from './help-list.ts';
import { HelpPicture } from './help-picture.tsx';

/** What something is and why one would want it, in two sentences, and a picture where that says more. */
export default function HelpCard({ asked, onClose }: { asked: Asked; onClose: () => void }) {
  const { id, control, says } = asked;
  const entry = helpOf(id);
  if (!entry) return null;
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={entry.title}>
      {control && says && (
        <p className="mb-2 border-b border-hair pb-2">
          <b>{control}</b>: {says}
        </p>
      )}
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
