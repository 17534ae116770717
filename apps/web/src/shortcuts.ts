/** Whether a text is being typed, or a dialog is open: single keys mean something else then. */
export const isBusyWithText = (target: EventTarget | null): boolean =>
  (target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable=true]') !== null) ||
  document.querySelector('[role=dialog]') !== null;

export const isMac = navigator.platform.startsWith('Mac');

/** A shortcut as it is labelled on this machine's keys. */
export function keyLabel(keys: string): string {
  return keys.replace('Mod', isMac ? 'Cmd' : 'Ctrl').replaceAll('Alt', isMac ? 'Option' : 'Alt');
}

/** How keys that act anywhere, each alone, are pressed: alone, with Alt, or not at all. Kept with the browser. */
export type SingleKeys = 'alone' | 'alt' | 'off';

const KEY = 'mint-lamp/single-keys';

export function singleKeys(): SingleKeys {
  try {
    const kept = localStorage.getItem(KEY);
    return kept === 'alt' || kept === 'off' ? kept : 'alone';
  } catch {
    return 'alone';
  }
}

export function setSingleKeys(how: SingleKeys): void {
  try {
    localStorage.setItem(KEY, how);
  } catch {
    // Without storage they stay as they were.
  }
}

/** The sign that stands on a key whatever is held beside it: with Alt some machines write another one. */
const signOn = ({ code, key }: KeyboardEvent): string =>
  /^(?:Key|Digit)(.)$/.exec(code)?.[1]?.toLowerCase() ?? (code === 'Slash' ? '?' : key.toLowerCase());

/**
 * The key of a press that acts anywhere, in small letters; null where it is none: something else is held, keys are turned
 * off, a text is being typed, or somebody has answered it.
 */
export function singleKeyOf(event: KeyboardEvent): string | null {
  const how = singleKeys();
  if (how === 'off' || event.altKey !== (how === 'alt')) return null;
  if (event.ctrlKey || event.metaKey || event.defaultPrevented || isBusyWithText(event.target)) return null;
  return how === 'alt' ? signOn(event) : event.key.toLowerCase();
}
