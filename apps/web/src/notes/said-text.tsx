import { partsOfSaid } from '@mint-lamp/core/document/notes/mentions';
import type { Said } from '@mint-lamp/core/document/notes/note';
import clsx from 'clsx';
import { useMemo } from 'react';
import { useNotePeople } from './use-note-people.ts';

/** What somebody said, line by line, with whom it names. */
export function SaidText({ said, className }: { said: Said; className?: string }) {
  const people = useNotePeople();
  const { text, mentions } = said;
  const parts = useMemo(
    () =>
      partsOfSaid(
        text,
        people.filter(({ id }) => mentions?.includes(id)),
      ),
    [text, mentions, people],
  );
  return (
    <p className={clsx('break-words whitespace-pre-wrap', className)}>
      {parts.map((part, i) =>
        part.people.length ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: in the order of the text
          <b key={i} className="font-semibold">
            {part.text}
          </b>
        ) : (
          part.text
        ),
      )}
    </p>
  );
}
