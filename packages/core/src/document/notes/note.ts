import type { Noted } from '../naming/note-name.ts';

/** What somebody said: a note, or an answer to one. */
export interface Said {
  readonly id: string;
  readonly text: string;
  /** The person who wrote it, by their id on the server, which has the name; left out where nobody was signed in. */
  readonly author?: string;
  /** Who wrote it, as they call themselves; empty where they did not say, or the server knows. */
  readonly by: string;
  /** When: milliseconds since 1970, UTC. */
  readonly at: number;
  /** Who is named in it, by their ids on the server, which tells them; left out where nobody is. */
  readonly mentions?: readonly string[];
}

/** A remark of somebody on a thing of the project. */
export interface Note extends Said {
  readonly on: Noted;
  /** Whether what it asks for is settled; notes that are not are open. */
  readonly settled: boolean;
  /** Whether it is meant for the client, and goes out with what they are given. */
  readonly forClient?: true;
  /** What was said to it, the oldest first. They go wherever the note goes. */
  readonly answers: readonly Said[];
}

export const MOST_NOTES = 2000;
export const MOST_NOTE_TEXT = 2000;
/** Of one note. */
export const MOST_ANSWERS = 100;
/** Of one note or answer. */
export const MOST_MENTIONS = 20;

/** One text for each thing that a note can be on, to tell whether two are on the same. */
export function notedKey(on: Noted): string {
  switch (on.kind) {
    case 'shade':
      return `shade ${on.family} ${on.shade}`;
    case 'base':
      return `base ${on.family}`;
    case 'swatch':
      return `swatch ${on.swatch}`;
    case 'role':
      return `role ${on.role}`;
    case 'pair':
      return `pair ${on.pair}`;
    case 'gradient':
      return `gradient ${on.gradient}`;
    case 'theme':
      return `theme ${on.theme}`;
    case 'scene':
      return `scene ${on.scene}`;
    case 'project':
      return 'project';
  }
}
