import type { ProjectDocument } from '../document.ts';
import type { Command } from './command.ts';

/** The document after a command, and the command that takes it back exactly. */
export type Step = readonly [document: ProjectDocument, inverse: Command];
