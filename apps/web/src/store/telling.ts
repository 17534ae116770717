import { toast } from 'sonner';

const MOST_REASONS = 5;
let dropped: string[] = [];

/**
 * A refused or malformed command is dropped with a message; nothing else waits for it. Many are told in one message
 * that counts them, for as long as it stands.
 */
export function tellDropped(reason: string): void {
  dropped.push(reason);
  const told = [...new Set(dropped)];
  const more = told.length > MOST_REASONS ? ` … and ${told.length - MOST_REASONS} more reasons` : '';
  const which = dropped.length === 1 ? 'An edit' : `${dropped.length} edits`;
  toast.error(`${which} could not be saved: ${told.slice(0, MOST_REASONS).join(' ')}${more}`, {
    id: 'dropped',
    duration: 10_000,
    onDismiss: () => {
      dropped = [];
    },
    onAutoClose: () => {
      dropped = [];
    },
  });
}

/** Edits that this browser kept and that cannot be read any more, by name. */
export function tellSetAside(names: readonly string[]): void {
  if (!names.length) return;
  const which =
    names.length === 1
      ? 'An edit kept in this browser cannot be read and was'
      : `${names.length} edits kept in this browser cannot be read and were`;
  toast.error(`${which} set aside, to be found under All projects: ${names.join(', ')}.`, {
    duration: 20_000,
    id: 'set-aside',
  });
}

/** An edit that makes the server fail, by name. It stays in the browser, and nothing waits for it any more. */
export function tellFailing(what: string): void {
  toast.error(
    `The server fails on an edit, which was set aside: ${what}. Everything else goes on being saved.`,
    { duration: 20_000 },
  );
}

/** Edits that only this page has; the status says so for as long as that is. */
export function tellNotKept(): void {
  toast.warning(
    'This browser’s storage is full or forbidden, so your latest edits live in this page alone. Leave it open until "Saved" shows.',
    { id: 'storage', duration: 10_000 },
  );
}

/** A gesture that others' edits have left nothing to change. */
export function tellInterrupted(reason: string): void {
  toast.error(`What you were changing was changed by somebody else, so it was let go: ${reason}`, {
    id: 'interrupted',
    duration: 10_000,
  });
}

const MOST_TOLD = 3;

/** Asks before a step takes others' work along; stands until it is answered. */
export function askAboutOthers(
  direction: 'undo' | 'redo',
  label: string,
  along: readonly string[],
  answers: { readonly onAllTheSame: () => void; readonly onLeave: () => void },
): void {
  const more = along.length > MOST_TOLD ? ` and ${along.length - MOST_TOLD} more` : '';
  toast.warning(
    `Somebody else has since edited the same thing: ${along.slice(0, MOST_TOLD).join('; ')}${more}. To ${direction} "${label}" would take that back too.`,
    {
      id: 'others',
      duration: Number.POSITIVE_INFINITY,
      action: {
        label: direction === 'undo' ? 'Undo anyway' : 'Redo anyway',
        onClick: answers.onAllTheSame,
      },
      cancel: { label: 'Keep theirs', onClick: answers.onLeave },
    },
  );
}

/** An edit that is larger than the server takes, by name. It stays in the browser. */
export function tellTooLarge(what: string): void {
  toast.error(
    `An edit is larger than the server takes, and was set aside: ${what}. Everything else goes on being saved.`,
    { duration: 20_000 },
  );
}

/** What one may in the project has become less while edits were on their way. They stay in the browser. */
export function tellNotAllowed(edits: number): void {
  toast.error(
    `You may not change this project any more. ${edits === 1 ? 'An edit was' : `${edits} edits were`} set aside; an owner of its team can let you change it again.`,
    { duration: 20_000 },
  );
}
