import { MOST_NOTE_TEXT } from '@mint-lamp/core/document/notes/note';
import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { personOfPage } from '../person/person.ts';
import { useNotePeople } from './use-note-people.ts';

/** Who is offered at most. */
const MOST_OFFERED = 6;

/** An `@` with what stands between it and the caret: a name that is being typed. */
const TYPED = /(?:^|[^\p{L}\p{N}_])@([\p{L}\p{N}_.'-]*(?: [\p{L}\p{N}_.'-]*)?)$/u;

interface MentionFieldProps {
  label: string;
  text: string;
  onChange: (text: string) => void;
  onSend: () => void;
  onGiveUp: () => void;
}

/** Words to write, in which people of the project are named: `@` and the first letters offer who is meant. */
export function MentionField({ label, text, onChange, onSend, onGiveUp }: MentionFieldProps) {
  const id = useId();
  const field = useRef<HTMLTextAreaElement>(null);
  const people = useNotePeople();
  const [caret, setCaret] = useState<number | null>(null);
  const [at, setAt] = useState(0);
  const [closed, setClosed] = useState(false);
  const typed = caret === null || closed ? null : TYPED.exec(text.slice(0, caret));
  const begun = typed?.[1]?.toLowerCase();
  const offered =
    begun === undefined
      ? []
      : people
          .filter(
            ({ id: person, name, access }) =>
              access !== null &&
              person !== personOfPage() &&
              ` ${name.toLowerCase()}`.includes(` ${begun}`) &&
              // What stands there whole needs no offer.
              name.toLowerCase() !== begun.trimEnd(),
          )
          .slice(0, MOST_OFFERED);
  const lit = Math.min(at, offered.length - 1);

  const take = (name: string) => {
    if (caret === null || begun === undefined) return;
    const from = caret - begun.length;
    const next = `${text.slice(0, from)}${name} ${text.slice(caret).replace(/^ /, '')}`;
    onChange(next);
    const end = from + name.length + 1;
    setCaret(end);
    requestAnimationFrame(() => {
      field.current?.focus();
      field.current?.setSelectionRange(end, end);
    });
  };
  const key = (event: KeyboardEvent) => {
    if (offered.length) {
      const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
      if (by) setAt((lit + by + offered.length) % offered.length);
      else if (event.key === 'Enter' || event.key === 'Tab') take(offered[lit]!.name);
      else if (event.key === 'Escape') setClosed(true);
      if (by || ['Enter', 'Tab', 'Escape'].includes(event.key)) {
        event.preventDefault();
        event.stopPropagation();
        return;
      }
    }
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) onSend();
    if (event.key === 'Escape') {
      event.stopPropagation();
      onGiveUp();
    }
  };
  const list = `${id}-people`;
  return (
    <>
      <label htmlFor={id} className="text-sm text-quiet">
        {label}
      </label>
      <textarea
        ref={field}
        id={id}
        value={text}
        rows={3}
        maxLength={MOST_NOTE_TEXT}
        // biome-ignore lint/a11y/noAutofocus: it was asked for by a press just now
        autoFocus
        aria-autocomplete="list"
        aria-controls={offered.length ? list : undefined}
        aria-activedescendant={offered.length ? `${list}-${lit}` : undefined}
        onChange={(event) => {
          onChange(event.target.value);
          setCaret(event.target.selectionStart);
          setAt(0);
          setClosed(false);
        }}
        onSelect={(event) => setCaret(event.currentTarget.selectionStart)}
        onBlur={() => setCaret(null)}
        onKeyDown={key}
        className="w-full rounded-md border border-control bg-raised px-2 py-1"
      />
      {offered.length > 0 && (
        <div
          id={list}
          role="listbox"
          aria-label="People to mention"
          className="rounded-md border border-control bg-raised p-1"
        >
          {offered.map(({ id: person, name }, i) => (
            <div
              key={person}
              id={`${list}-${i}`}
              role="option"
              tabIndex={-1}
              aria-selected={i === lit}
              // Pressed before the field loses the caret.
              onPointerDown={(event) => {
                event.preventDefault();
                take(name);
              }}
              className="truncate rounded-[4px] px-2 py-1 aria-selected:bg-pressed"
            >
              {name}
            </div>
          ))}
        </div>
      )}
    </>
  );
}
