import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';
import { notedKey } from '@mint-lamp/core/document/notes/note';
import { useState } from 'react';
import { toast } from 'sonner';
import { noteOnShare } from '../../fetching/shared-requests.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import type { Conversation } from './conversation.ts';
import { Thread } from './thread.tsx';
import { WordsForm } from './words-form.tsx';

interface NoteDialogProps {
  token: string;
  document: ProjectDocument;
  on: Noted;
  conversation: Conversation;
  onClose: () => void;
}

/** What is said on something, and a word on it by name: whoever made the share sees it at once. */
export function NoteDialog({ token, document, on, conversation, onClose }: NoteDialogProps) {
  const name = notedName(document, on) ?? 'this';
  const key = notedKey(on);
  const notes = conversation.notes.filter((note) => notedKey(note.on) === key && !note.settled);
  const [writing, setWriting] = useState(notes.length === 0);
  const send = async (words: { by: string; text: string }) => {
    conversation.add(await noteOnShare(token, { ...words, on }));
    toast('Your note is sent');
    onClose();
  };
  return (
    <Dialog
      open
      onOpenChange={(open) => open || onClose()}
      title={writing ? `Note on ${name}` : `Notes on ${name}`}
    >
      {writing ? (
        <WordsForm send="Send the note" onSend={send} />
      ) : (
        <div className="flex flex-col gap-4">
          <ul className="grid gap-4">
            {notes.map((note) => (
              <li key={note.id}>
                <Thread token={token} note={note} on={name} conversation={conversation} />
              </li>
            ))}
          </ul>
          <Button className="h-11" onClick={() => setWriting(true)}>
            Write another note
          </Button>
        </div>
      )}
    </Dialog>
  );
}
