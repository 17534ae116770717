import type { Noted } from '@mint-lamp/core/document/naming/note-name';
import { MessageSquarePlus } from 'lucide-react';

interface NoteButtonProps {
  on: Noted;
  /** What it is on, in words. */
  name: string;
  /** Left out where no notes are taken. */
  onNote: ((on: Noted) => void) | undefined;
}

/** Pins a word to something. */
export function NoteButton({ on, name, onNote }: NoteButtonProps) {
  if (!onNote) return null;
  return (
    <button
      type="button"
      aria-label={`Note on ${name}`}
      title={`Note on ${name}`}
      onClick={() => onNote(on)}
      className="grid size-9 shrink-0 place-content-center rounded-md text-quiet hover:bg-pressed hover:text-main"
    >
      <MessageSquarePlus aria-hidden className="size-4.5" />
    </button>
  );
}
