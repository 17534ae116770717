import { MOST_NAME } from '@mint-lamp/core/document/naming/names';
import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { MOST_NOTE_TEXT, type Note, notedKey } from '@mint-lamp/core/document/notes/note';
import { mayDo } from '@mint-lamp/core/wire/access';
import clsx from 'clsx';
import { Trash2 } from 'lucide-react';
import { memo, useId, useMemo, useState } from 'react';
import { useNames } from '../fetching/use-names.ts';
import { personOfPage } from '../person/person.ts';
import { newId, useEditing } from '../store/editing.ts';
import { selectProject, useDocumentPart, useProjectId } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { author, rememberAuthor } from './author.ts';

const WHEN = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

/** The notes on a thing, and a new one: what is said, by whom and when; open until they are settled. */
export const NotesOn = memo(function NotesOn({ on }: { on: Noted }) {
  const notes = useDocumentPart('notes');
  const key = notedKey(on);
  const own = useMemo(() => notes.filter((note) => notedKey(note.on) === key), [notes, key]);
  const [writing, setWriting] = useState(false);
  const access = useAppSelector((state) => selectProject(state).access);
  return (
    <fieldset aria-label="Notes" className="flex flex-col gap-2 border-t border-hair pt-2">
      <div className="flex items-center justify-between">
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
            <OneNote key={note.id} note={note} />
          ))}
        </ul>
      )}
      {writing && <NewNote on={on} onDone={() => setWriting(false)} />}
    </fieldset>
  );
});

function OneNote({ note }: { note: Note }) {
  const { edit } = useEditing();
  const names = useNames(useProjectId());
  const access = useAppSelector((state) => selectProject(state).access);
  const own = note.author === undefined ? mayDo(access, 'edit') : note.author === personOfPage();
  return (
    <li className="rounded-md bg-sunken p-2">
      <p className={clsx('break-words whitespace-pre-wrap', note.settled && 'text-quiet')}>{note.text}</p>
      <div className="mt-1 flex items-center gap-1 text-sm text-quiet">
        <span className="min-w-0 flex-1 truncate">
          {names(note.author) ?? (note.by || 'Nobody named')},{' '}
          <time dateTime={new Date(note.at).toISOString()}>{WHEN.format(note.at)}</time>
        </span>
        {(own || mayDo(access, 'edit')) && (
          <Button
            small
            look="quiet"
            aria-pressed={note.forClient === true}
            title="Goes out with the page and the PDF for the client"
            className={clsx(note.forClient && 'underline underline-offset-2')}
            onClick={() => edit({ type: 'setNote', note: note.id, change: { forClient: !note.forClient } })}
          >
            {note.forClient ? 'For the client' : 'Not for the client'}
          </Button>
        )}
        {mayDo(access, 'note') && (
          <Button
            small
            look="quiet"
            onClick={() => edit({ type: 'setNote', note: note.id, change: { settled: !note.settled } })}
          >
            {note.settled ? 'Open it again' : 'Settle it'}
          </Button>
        )}
        {(own || mayDo(access, 'edit')) && (
          <IconButton
            small
            label="Remove the note"
            onClick={() => edit({ type: 'removeNote', note: note.id })}
          >
            <Trash2 aria-hidden className="size-4" />
          </IconButton>
        )}
      </div>
    </li>
  );
}

function NewNote({ on, onDone }: { on: Noted; onDone: () => void }) {
  const id = useId();
  const { edit } = useEditing();
  const [text, setText] = useState('');
  const [by, setBy] = useState(author);
  // Who is signed in has a name already.
  const person = personOfPage();
  const write = () => {
    const said = text.trim();
    if (!said) return;
    const name = person === null ? by.trim().slice(0, MOST_NAME) : '';
    if (person === null) rememberAuthor(name);
    const note: Note = {
      id: newId(),
      on,
      text: said,
      by: name,
      at: Date.now(),
      settled: false,
      ...(person === null ? {} : { author: person }),
    };
    if (edit({ type: 'addNote', note })) onDone();
  };
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <label htmlFor={`${id}-text`} className="text-sm text-quiet">
        Note
      </label>
      <textarea
        id={`${id}-text`}
        value={text}
        rows={3}
        maxLength={MOST_NOTE_TEXT}
        // biome-ignore lint/a11y/noAutofocus: it was asked for by a press just now
        autoFocus
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) write();
          if (event.key === 'Escape') onDone();
        }}
        className="w-full rounded-md border border-control bg-raised px-2 py-1"
      />
      {person === null && (
        <>
          <label htmlFor={`${id}-by`} className="text-sm text-quiet">
            Your name
          </label>
          <input
            id={`${id}-by`}
            value={by}
            maxLength={MOST_NAME}
            autoComplete="name"
            onChange={(event) => setBy(event.target.value)}
            className="h-8 w-full rounded-md border border-control bg-raised px-2"
          />
        </>
      )}
      <div className="flex gap-2 pt-1">
        <Button type="submit" small look="primary" disabled={!text.trim()}>
          Leave the note
        </Button>
        <Button small onClick={onDone}>
          Give up
        </Button>
      </div>
    </form>
  );
}
