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
  const which = names.length === 1 ? 'An edit' : `${names.length} edits`;
  toast.error(`${which} kept in this browser cannot be read and was set aside: ${names.join(', ')}.`, {
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
