import { toast } from 'sonner';

/** Commands that are sent at once, at most. */
export const BATCH = 200;

/** A refused or malformed command is dropped with a message; nothing else waits for it. */
export function tellDropped(reason: string): void {
  toast.error(`An edit could not be saved: ${reason}`, { duration: 10_000 });
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
