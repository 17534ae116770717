import type { LeftOut } from '../document/delivery/delivery.ts';
import type { FormId, KeptChoices } from '../document/delivery/forms.ts';
import type { ProjectDocument } from '../document/document.ts';

/** What goes over the wire about hand-overs; written once for both ends. */

/** What was handed over: the forms, what was chosen of each, and what was left out. */
export interface HandedWhat {
  readonly forms: readonly FormId[];
  readonly choices: KeptChoices;
  readonly leftOut: LeftOut;
  /** The name of the file. */
  readonly file: string;
}

/** A delivery that was made, of a revision of the project's log. */
export interface HandOver extends HandedWhat {
  readonly id: string;
  readonly revision: number;
  /** Who; null where that is not known. */
  readonly author: string | null;
  /** When, ISO 8601. */
  readonly at: string;
}

export interface HandOverList {
  /** The newest first. */
  readonly handOvers: readonly HandOver[];
}

export interface LoadedHandOver extends HandOver {
  /** The project as it was then, in today's schema. */
  readonly document: ProjectDocument;
}

/** Hand-overs of one project that are kept; of more, the oldest go. */
export const MOST_HAND_OVERS = 500;
