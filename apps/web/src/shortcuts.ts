/** Every shortcut of the product. `Mod` is Ctrl, or Cmd on a Mac. */
export const SHORTCUTS = [
  { keys: 'Mod+Z', does: 'Undo' },
  { keys: 'Shift+Mod+Z', does: 'Redo' },
  { keys: 'Mod+K', does: 'Finder: go to or do anything' },
  { keys: '1 … 7', does: 'Go to a station, in the order of the path' },
  { keys: 'N', does: 'Next theme of the project' },
  { keys: 'J', does: 'Jump to the lamp' },
  { keys: 'B', does: 'Jump to the tray' },
  { keys: 'X', does: 'In the tray: choose one more colour; with Shift all up to it' },
  { keys: 'Enter', does: 'In a picture: put a marker where it is aimed at' },
  { keys: '+ − 0', does: 'In a picture: nearer, further, all of it' },
  { keys: '[ ]', does: 'In a picture: a smaller or larger area' },
  { keys: 'F2', does: 'In the tray: rename a colour' },
  { keys: 'M', does: 'Jump to the station: to its next step, where there is one' },
  {
    keys: 'L, C, H',
    does: 'The lit colour a little lighter, more colourful, to the next hue; Shift the other way',
  },
  { keys: 'G', does: 'Mid-grey surround on or off' },
  { keys: 'Delete', does: 'Remove the selected stop, marker or tray colour' },
  {
    keys: 'Arrow keys',
    does: 'Move a base on its rail, a rail among the others, a point of a curve, a stop on its gradient, a place in a picture or on a plane, a slider; Shift for larger steps. Presses in a row are one edit',
  },
  { keys: 'Shift, Alt', does: 'While something is dragged: finely; without snapping' },
  { keys: 'Escape', does: 'Give up what is being typed or dragged; close a panel' },
  { keys: '?', does: 'This sheet' },
] as const;

/** Whether a text is being typed, or a dialog is open: single keys mean something else then. */
export const isBusyWithText = (target: EventTarget | null): boolean =>
  (target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable=true]') !== null) ||
  document.querySelector('[role=dialog]') !== null;

export const isMac = navigator.platform.startsWith('Mac');

/** A shortcut as it is labelled on this machine's keys. */
export function keyLabel(keys: string): string {
  return keys.replace('Mod', isMac ? 'Cmd' : 'Ctrl');
}
