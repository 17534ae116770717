import type { StationId } from '../addresses.ts';

interface Shortcut {
  readonly keys: string;
  readonly does: string;
  /** It acts anywhere, alone; it can be asked for with Alt, or not at all. */
  readonly isSingle?: boolean;
}

/** Shortcuts that belong together: of a station, or of what is there at all of them. */
interface ShortcutGroup {
  readonly of: StationId | 'anywhere' | 'colour' | 'tray' | 'dragging';
  readonly title: string;
  readonly shortcuts: readonly Shortcut[];
}

/** Every shortcut of the product, by where it acts. `Mod` is Ctrl, or Cmd on a Mac. */
export const SHORTCUT_GROUPS: readonly ShortcutGroup[] = [
  {
    of: 'gather',
    title: 'Gather: a picture at its desk',
    shortcuts: [
      { keys: 'Arrow keys', does: 'Aim at another place; Shift in larger steps' },
      { keys: 'Enter', does: 'Put a marker there' },
      { keys: '+ − 0', does: 'Zoom in, zoom out, see all of it' },
      { keys: '[ ]', does: 'Average a smaller or a larger area' },
      { keys: 'Delete', does: 'Remove the marker' },
    ],
  },
  {
    of: 'grow',
    title: 'Grow: the rails',
    shortcuts: [
      { keys: '← →', does: 'Make the base on the rail darker or lighter; Shift in larger steps' },
      { keys: '↑ ↓', does: 'On a grip: move the rail among the others' },
      { keys: 'Arrow keys', does: 'On a curve: move the point' },
    ],
  },
  {
    of: 'assign',
    title: 'Assign: the sheet',
    shortcuts: [
      { keys: '← →', does: 'Move the link to a darker or lighter shade' },
      { keys: '↑ ↓', does: 'Go to the role above or below' },
      { keys: 'Shift+arrows', does: 'Pick several cells' },
      { keys: 'Enter', does: 'Choose a link' },
      { keys: 'Mod+C, Mod+V', does: 'Copy links, put them elsewhere' },
      { keys: 'Delete', does: 'Clear the cells' },
    ],
  },
  {
    of: 'check',
    title: 'Check: the board and the matrix',
    shortcuts: [
      { keys: '← →', does: 'On an open pair: move either end along its family' },
      { keys: 'Arrow keys', does: 'In the matrix: go to another cell' },
      { keys: 'Enter', does: 'In the matrix: open the pair, or make it' },
    ],
  },
  {
    of: 'fade',
    title: 'Fade: the posts',
    shortcuts: [
      { keys: '← →', does: 'Move the stop; Shift in larger steps' },
      { keys: '↑ ↓', does: 'Walk it along the shades of its family' },
      { keys: 'Delete', does: 'Remove the stop' },
    ],
  },
  {
    of: 'stage',
    title: 'Stage: a page',
    shortcuts: [
      { keys: 'Tab', does: 'Go through what paints the page' },
      { keys: 'Enter', does: 'Change it there' },
      { keys: 'Escape', does: 'Back to all pages' },
    ],
  },
  {
    of: 'anywhere',
    title: 'Anywhere',
    shortcuts: [
      { keys: 'Mod+Z', does: 'Undo' },
      { keys: 'Shift+Mod+Z', does: 'Redo' },
      { keys: 'Mod+K', does: 'Finder: go to or do anything' },
      { keys: 'Escape', does: 'Give up what is typed or dragged; close a panel' },
      { keys: '1 … 7', does: 'Go to a station, in the order of the path', isSingle: true },
      { keys: 'M', does: 'Jump to the station: to its next step, where there is one', isSingle: true },
      { keys: 'J', does: 'Jump to the lamp', isSingle: true },
      { keys: 'B', does: 'Jump to the tray', isSingle: true },
      { keys: 'N', does: 'Next theme of the project', isSingle: true },
      { keys: 'G', does: 'Mid-grey surround on or off', isSingle: true },
      {
        keys: '?',
        does: 'What is this? of what you point at or are on; elsewhere this sheet',
        isSingle: true,
      },
    ],
  },
  {
    of: 'colour',
    title: 'The lit colour',
    shortcuts: [
      { keys: 'L', does: 'A little lighter; with Shift darker', isSingle: true },
      { keys: 'C', does: 'A little more colourful; with Shift less', isSingle: true },
      { keys: 'H', does: 'On to the next hue; with Shift back', isSingle: true },
    ],
  },
  {
    of: 'tray',
    title: 'The tray',
    shortcuts: [
      { keys: 'Space', does: 'Pick it up; arrow keys move it, Space puts it down' },
      { keys: 'X', does: 'Choose one more; with Shift all up to it' },
      { keys: 'F2', does: 'Rename it' },
      { keys: 'Delete', does: 'Remove it' },
    ],
  },
  {
    of: 'dragging',
    title: 'While you drag',
    shortcuts: [
      { keys: 'Shift', does: 'Finely' },
      { keys: 'Alt', does: 'Without snapping' },
      { keys: 'Escape', does: 'Put it back where it was' },
    ],
  },
];
