import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Noted, notedName } from '@mint-lamp/core/document/naming/note-name';
import { format } from 'date-fns';
import { useState } from 'react';
import { Button } from '../../ui/button.tsx';
import { EmptyState } from '../../ui/notice.tsx';
import { GuestSection } from '../guest-frame.tsx';
import { notableThings } from './notable-things.ts';

interface NotesListProps {
  document: ProjectDocument;
  notes: ProjectDocument['notes'];
  onNote: (on: Noted) => void;
}

/** The notes between the client and those who made the share, and the way to write one on anything. */
export function NotesList({ document, notes, onNote }: NotesListProps) {
  const things = notableThings(document);
  const [chosen, setChosen] = useState(0);
  const sorted = [...notes].sort((a, b) => b.at - a.at);
  return (
    <GuestSection title="Notes" says="Whoever made this sees what you write. Open notes come first.">
      <div className="mb-6 flex flex-wrap items-end gap-2">
        <label className="min-w-0 flex-1 basis-56 md:max-w-sm">
          <span className="mb-0.5 block text-sm text-quiet">A note on</span>
          <select
            value={chosen}
            onChange={(event) => setChosen(Number(event.target.value))}
            className="h-11 w-full rounded-md border border-control bg-raised px-2 text-base"
          >
            {things.map(({ name }, i) => (
              <option key={name} value={i}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <Button className="h-11" disabled={!things.length} onClick={() => onNote(things[chosen]!.on)}>
          Write …
        </Button>
      </div>
      {sorted.length === 0 && (
        <EmptyState title="Nothing was written yet">
          Choose what it is about, and write what you think of it.
        </EmptyState>
      )}
      <ul className="grid gap-3 md:grid-cols-2">
        {[...sorted.filter(({ settled }) => !settled), ...sorted.filter(({ settled }) => settled)].map(
          (note) => (
            <li key={note.id} className="rounded-md border border-hair bg-raised p-3">
              <p className="text-sm text-quiet">
                On {notedName(document, note.on) ?? 'something that is gone'}
                {note.settled && ' · settled'}
              </p>
              <p className="text-base break-words whitespace-pre-line">{note.text}</p>
              <p className="text-sm text-quiet">
                {note.by && `${note.by}, `}
                {format(new Date(note.at), 'd MMM yyyy, HH:mm')}
              </p>
            </li>
          ),
        )}
      </ul>
    </GuestSection>
  );
}
