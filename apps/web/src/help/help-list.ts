import { CONTROLS } from './entries/controls.ts';
import { OWN_WORDS } from './entries/own-words.ts';
import { TASKS } from './entries/tasks.ts';
import type { HelpEntry } from './help-entry.ts';

/** All that can be asked about, our own words first. */
export const HELP: readonly HelpEntry[] = [...OWN_WORDS, ...TASKS, ...CONTROLS];

export const helpOf = (id: string): HelpEntry | undefined => HELP.find((entry) => entry.id === id);
