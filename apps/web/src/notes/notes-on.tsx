import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { notedKey } from '@mint-lamp/core/document/notes/note';
import { mayDo } from '@mint-lamp/core/wire/access';
import { memo, useMemo, useState } from 'react';
import { useEditing } from '../store/editing.ts';
import { selectProject, useDocumentPart } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { OneNote } from './one-note.tsx';
import { WordsForm } from './words-form.tsx';

/** The notes on a thing, and a new one: what is said, by whom and when; open until they are settled. */
const NotesOn = memo(function NotesOn({ on }: { on: Noted }) {
  const notes = useDocumentPart('notes');
  const { edit } = useEditing();
  const key = notedKey(on);
  const own = useMemo(() => notes.filter((note) => notedKey(note.on) === key), [notes, key]);
  const [writing, setWriting] = useState(false);
  const access = useAppSelector((state) => selectProject(state).access);
  return (
    <fieldset aria-label="Notes" className="flex flex-col gap-2 border-t border-hair pt-2">
      <div className="flex items-center justify-between gap-2">
        <p className="text-sm text-quiet">{own.length ? 'Notes' : 'No notes'}</p>
        {!writing && mayDo(access, 'note') && (
          <Button small onClick={() => setWriting(true)}>
            Write a note
          </Button>
        )}
      </div>
      {own.length > 0 && (
        <ul className="flex flex-col gap-2">
          {own.map((note) => (
            <li key={note.id} className="rounded-md bg-sunken p-2">
              <OneNote note={note} />
            </li>
          ))}
        </ul>
      )}
      {writing && (
        <WordsForm
          label="Note"
          send="Save the note"
          onSend={(said) => edit({ type: 'addNote', note: { ...said, on, settled: false, answers: [] } })}
          onDone={() => setWriting(false)}
        />
      )}
    </fieldset>
  );
});

export default NotesOn;
