import type { Note, Said } from '@mint-lamp/core/document/notes/note';
import { mayDo } from '@mint-lamp/core/wire/access';
import clsx from 'clsx';
import { Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { personOfPage } from '../person/person.ts';
import { useEditing } from '../store/editing.ts';
import { selectProject } from '../store/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { SaidText } from './said-text.tsx';
import { Signature } from './signature.tsx';
import { WordsForm } from './words-form.tsx';

const wordsOf = ({ text, mentions }: Said) => ({ text, ...(mentions ? { mentions } : {}) });

/** Whether whoever is here may change the words of something, and whether they may take it away. */
function useRights() {
  const access = useAppSelector((state) => selectProject(state).access);
  const edits = mayDo(access, 'edit');
  return {
    edits,
    notes: mayDo(access, 'note'),
    isOwn: ({ author }: Said) => (author === undefined ? edits : author === personOfPage()),
  };
}

/** A note with what was said to it, and what can be done with both. */
export function OneNote({ note }: { note: Note }) {
  const { edit } = useEditing();
  const { edits, notes, isOwn } = useRights();
  const [doing, setDoing] = useState<'answer' | 'change' | null>(null);
  const own = isOwn(note);
  const done = () => setDoing(null);
  const set = (change: object) => edit({ type: 'setNote', note: note.id, change });
  return (
    <>
      {doing === 'change' ? (
        <WordsForm
          label="Note"
          send="Save the change"
          before={note}
          onSend={(said) => set(wordsOf(said))}
          onDone={done}
        />
      ) : (
        <SaidText said={note} className={clsx(note.settled && 'text-quiet')} />
      )}
      <Signature said={note} />
      {note.answers.length > 0 && (
        <ul aria-label="Answers" className="mt-1 flex flex-col gap-1.5 border-l-2 border-hair pl-2">
          {note.answers.map((answer) => (
            <OneAnswer key={answer.id} note={note} answer={answer} />
          ))}
        </ul>
      )}
      {doing === 'answer' && (
        <div className="mt-1 border-l-2 border-hair pl-2">
          <WordsForm
            label="Answer"
            send="Send the answer"
            hint={note.forClient ? 'The client reads this too: the note is for them.' : undefined}
            onSend={(answer) => edit({ type: 'answerNote', note: note.id, answer })}
            onDone={done}
          />
        </div>
      )}
      <div className="-ml-2 flex flex-wrap items-center text-sm text-quiet">
        {notes && doing !== 'answer' && (
          <Button small look="quiet" onClick={() => setDoing('answer')}>
            Answer
          </Button>
        )}
        {notes && (
          <Button small look="quiet" onClick={() => set({ settled: !note.settled })}>
            {note.settled ? 'Reopen' : 'Resolve'}
          </Button>
        )}
        {(own || edits) && (
          <Button
            small
            look="quiet"
            aria-pressed={note.forClient === true}
            title={
              note.forClient
                ? 'Shared with its answers: on shares, in the page and in the PDF'
                : 'Seen only by people on the project'
            }
            className={clsx(note.forClient && 'underline underline-offset-2')}
            onClick={() => set({ forClient: !note.forClient })}
          >
            {note.forClient ? 'For the client' : 'Not for the client'}
          </Button>
        )}
        {own && notes && doing !== 'change' && (
          <IconButton small label="Change the note" onClick={() => setDoing('change')}>
            <Pencil aria-hidden className="size-3.5" />
          </IconButton>
        )}
        {(own || edits) && (
          <IconButton
            small
            label="Remove the note"
            onClick={() => edit({ type: 'removeNote', note: note.id })}
          >
            <Trash2 aria-hidden className="size-4" />
          </IconButton>
        )}
      </div>
    </>
  );
}

function OneAnswer({ note, answer }: { note: Note; answer: Said }) {
  const { edit } = useEditing();
  const { edits, notes, isOwn } = useRights();
  const [changing, setChanging] = useState(false);
  const own = isOwn(answer);
  const which = { note: note.id, answer: answer.id };
  if (changing)
    return (
      <li>
        <WordsForm
          label="Answer"
          send="Save the change"
          before={answer}
          onSend={(said) => edit({ type: 'setAnswer', ...which, ...wordsOf(said) })}
          onDone={() => setChanging(false)}
        />
      </li>
    );
  return (
    <li>
      <SaidText said={answer} className={clsx(note.settled && 'text-quiet')} />
      <div className="flex items-center gap-1">
        <Signature said={answer} />
        {own && notes && (
          <IconButton small label="Change the answer" onClick={() => setChanging(true)}>
            <Pencil aria-hidden className="size-3.5" />
          </IconButton>
        )}
        {(own || edits) && (
          <IconButton
            small
            label="Remove the answer"
            onClick={() => edit({ type: 'removeAnswer', ...which })}
          >
            <Trash2 aria-hidden className="size-4" />
          </IconButton>
        )}
      </div>
    </li>
  );
}
