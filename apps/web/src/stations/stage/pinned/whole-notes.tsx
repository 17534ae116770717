import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { notedKey } from '@mint-lamp/core/document/notes/note';
import { useDocumentPart } from '../../../store/selectors.ts';
import { Button } from '../../../ui/button.tsx';
import { part } from '../../../ui/part.tsx';
import { Popover } from '../../../ui/popover.tsx';

const NotesOn = part(() => import('../../../notes/notes-on.tsx'));

/** What is said about a scene or a theme as a whole, and the way to say something. */
export function WholeNotes({ on, name }: { on: Noted; name: string }) {
  const notes = useDocumentPart('notes');
  const key = notedKey(on);
  const count = notes.filter((note) => !note.settled && notedKey(note.on) === key).length;
  return (
    <Popover
      label={`Notes on ${name}`}
      trigger={
        <Button small look="quiet" className="text-quiet" aria-label={`Notes on ${name}: ${count} open`}>
          {count === 0 ? 'Add a note …' : count === 1 ? '1 note on it' : `${count} notes on it`}
        </Button>
      }
    >
      <div className="w-80">
        <h3 className="mb-1 font-semibold">{name}</h3>
        <NotesOn on={on} />
      </div>
    </Popover>
  );
}
