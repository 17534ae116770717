import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';
import { MOST_NOTE_TEXT, type Note } from '@mint-lamp/core/document/notes/note';
import { type FormEvent, useState } from 'react';
import { toast } from 'sonner';
import { noteOnShare } from '../../fetching/shared-requests.ts';
import { author, rememberAuthor } from '../../notes/author.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { FormField } from '../../ui/form-field.tsx';

interface NoteDialogProps {
  token: string;
  document: ProjectDocument;
  on: Noted;
  onClose: () => void;
  onSent: (note: Note) => void;
}

/** A word on something, by name: whoever made the share sees it at once. */
export function NoteDialog({ token, document, on, onClose, onSent }: NoteDialogProps) {
  const [by, setBy] = useState(author);
  const [text, setText] = useState('');
  const [fault, setFault] = useState<{ where: 'by' | 'text' | 'all'; says: string } | null>(null);
  const [busy, setBusy] = useState(false);
  const send = async (event: FormEvent) => {
    event.preventDefault();
    if (!by.trim()) return setFault({ where: 'by', says: 'Type your name, so that they know who wrote it.' });
    if (!text.trim()) return setFault({ where: 'text', says: 'Type a few words.' });
    setBusy(true);
    setFault(null);
    try {
      const note = await noteOnShare(token, { by, on, text });
      rememberAuthor(by.trim());
      onSent(note);
      toast('Your note is sent');
      onClose();
    } catch (error) {
      setFault({ where: 'all', says: (error as Error).message });
      setBusy(false);
    }
  };
  const faultAt = (where: 'by' | 'text') => (fault?.where === where ? fault.says : undefined);
  return (
    <Dialog
      open
      onOpenChange={(open) => open || onClose()}
      title={`Note on ${notedName(document, on) ?? 'this'}`}
    >
      <form noValidate onSubmit={send} className="flex flex-col gap-3">
        <label className="block">
          <span className="mb-0.5 block text-sm text-quiet">Your words</span>
          <textarea
            autoFocus
            rows={4}
            maxLength={MOST_NOTE_TEXT}
            value={text}
            aria-invalid={faultAt('text') !== undefined}
            onChange={(event) => setText(event.target.value)}
            className="w-full rounded-md border border-control bg-raised p-2.5 aria-invalid:border-fail!"
          />
        </label>
        {faultAt('text') && (
          <p role="alert" className="-mt-2 text-sm text-fail">
            {faultAt('text')}
          </p>
        )}
        <FormField
          label="Your name"
          autoComplete="name"
          value={by}
          fault={faultAt('by')}
          onChange={(event) => setBy(event.target.value)}
        />
        {fault?.where === 'all' && (
          <p role="alert" className="text-fail">
            {fault.says}
          </p>
        )}
        <Button type="submit" look="primary" className="h-11" disabled={busy}>
          Send the note
        </Button>
      </form>
    </Dialog>
  );
}
