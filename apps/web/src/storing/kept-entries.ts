import { lasting } from './storage.ts';

/**
 * Entries that must not be lost: in the browser's storage, and where that is full or forbidden, in this page for as long
 * as it is open. What only the page has is asked about before it is closed, and moves into the storage as soon as there
 * is room.
 */
const ofPage = new Map<string, string>();

const ask = (event: BeforeUnloadEvent) => event.preventDefault();

/** Asks before the page is closed for as long as something would be lost with it. */
function guard(): void {
  if (ofPage.size) globalThis.addEventListener?.('beforeunload', ask);
  else globalThis.removeEventListener?.('beforeunload', ask);
}

/** Keeps an entry. False when only this page has it. */
export function keep(key: string, text: string): boolean {
  if (lasting.write(key, text)) return true;
  ofPage.set(key, text);
  guard();
  return false;
}

export const readKept = (key: string): string | null => ofPage.get(key) ?? lasting.read(key);

export const keptKeys = (): string[] => [...lasting.keys(), ...ofPage.keys()];

/** How many entries whose keys begin so only this page has. */
export function countOfPage(prefix: string): number {
  let count = 0;
  for (const key of ofPage.keys()) if (key.startsWith(prefix)) count += 1;
  return count;
}

export function letGo(key: string): void {
  if (!ofPage.delete(key)) {
    lasting.remove(key);
    // There may be room now, for the oldest first.
    for (const [waiting, text] of ofPage) {
      if (!lasting.write(waiting, text)) break;
      ofPage.delete(waiting);
    }
  }
  guard();
}

/** Gives an entry another key. It keeps the one it has where the storage has no room for both at a time. */
export function rename(from: string, to: string): boolean {
  const text = readKept(from);
  if (text === null) return false;
  if (ofPage.delete(from)) ofPage.set(to, text);
  else if (lasting.write(to, text)) lasting.remove(from);
  else {
    lasting.remove(from);
    if (!lasting.write(to, text)) return keep(from, text) && false;
  }
  return true;
}
