import { MOST_NAME } from '@mint-lamp/core/document/naming/names';
import { namedIn } from '@mint-lamp/core/document/notes/mentions';
import type { Said } from '@mint-lamp/core/document/notes/note';
import { useId, useState } from 'react';
import { personOfPage } from '../person/person.ts';
import { newId } from '../store/editing.ts';
import { Button } from '../ui/button.tsx';
import { author, rememberAuthor } from './author.ts';
import { MentionField } from './mention-field.tsx';
import { useNotePeople } from './use-note-people.ts';

interface WordsFormProps {
  label: string;
  /** What the button says that sends them. */
  send: string;
  /** What is to be said otherwise; left out for something new. */
  before?: Said;
  /** What is worth knowing before it is sent. */
  hint?: string | undefined;
  /** False where it was refused: what was typed stays. */
  onSend: (said: Said) => boolean;
  onDone: () => void;
}

/** Words to be left under one's own name, new or in place of others. */
export function WordsForm({ label, send, before, hint, onSend, onDone }: WordsFormProps) {
  const id = useId();
  const [text, setText] = useState(before?.text ?? '');
  const [by, setBy] = useState(author);
  const people = useNotePeople();
  // Who is signed in has a name already.
  const person = personOfPage();
  const asks = person === null && !before;
  const write = () => {
    const words = text.trim();
    if (!words) return;
    const name = asks ? by.trim().slice(0, MOST_NAME) : '';
    if (asks) rememberAuthor(name);
    const { mentions: _, ...kept }: Said = before ?? {
      id: newId(),
      text: words,
      by: name,
      at: Date.now(),
      ...(person === null ? {} : { author: person }),
    };
    const mentions = namedIn(
      words,
      people.filter(({ access }) => access !== null),
    );
    if (onSend({ ...kept, text: words, ...(mentions.length ? { mentions } : {}) })) onDone();
  };
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <MentionField label={label} text={text} onChange={setText} onSend={write} onGiveUp={onDone} />
      {asks && (
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
      {hint && <p className="text-sm text-look">{hint}</p>}
      <div className="flex gap-2 pt-1">
        <Button type="submit" small look="primary" disabled={!text.trim()}>
          {send}
        </Button>
        <Button small onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
