import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';
import { isSharedNoted } from '@mint-lamp/core/share/shared-document';
import type { ShareSubject } from '@mint-lamp/core/wire/shares';
import { useState } from 'react';
import { notableThings } from '../../notes/notable-things.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { GuestSection } from '../guest-frame.tsx';
import type { Conversation } from './conversation.ts';
import { Thread } from './thread.tsx';

interface NotesListProps {
  token: string;
  document: ProjectDocument;
  subject: ShareSubject;
  conversation: Conversation;
  onNote: (on: Noted) => void;
}

/** The notes between the client and those who made the share, and the way to write one on anything. */
export function NotesList({ token, document, subject, conversation, onNote }: NotesListProps) {
  const things = notableThings(document).filter(({ on }) => isSharedNoted(document, subject, on));
  const [chosen, setChosen] = useState('0');
  const sorted = [...conversation.notes].sort((a, b) => Number(a.settled) - Number(b.settled) || b.at - a.at);
  return (
    <GuestSection title="Notes" says="Whoever made this sees what you write. Open notes come first.">
      <div className="mb-6 flex flex-wrap items-end gap-2">
        <Choice
          label="A note on"
          value={chosen}
          options={things.map(({ name, group }, i) => ({ value: String(i), label: name, group }))}
          onChange={setChosen}
          className="min-w-0 flex-1 basis-56 md:max-w-sm [&_select]:h-11 [&_select]:text-base"
        />
        <Button
          className="h-11"
          disabled={!things.length}
          onClick={() => onNote((things[Number(chosen)] ?? things[0]!).on)}
        >
          Write …
        </Button>
      </div>
      {sorted.length === 0 && (
        <EmptyState title="Nothing was written yet">
          Choose what it is about, and write what you think of it.
        </EmptyState>
      )}
      <ul className="grid items-start gap-3 md:grid-cols-2">
        {sorted.map((note) => (
          <li key={note.id} className="rounded-md border border-hair bg-raised p-3">
            <Thread
              token={token}
              note={note}
              on={notedName(document, note.on) ?? 'something that was removed'}
              conversation={conversation}
            />
          </li>
        ))}
      </ul>
    </GuestSection>
  );
}
