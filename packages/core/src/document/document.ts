import type { DeclinedPair } from './declined/declined-pair.ts';
import type { Family } from './families/family.ts';
import type { Gradient } from './gradients/gradient.ts';
import type { Note } from './notes/note.ts';
import type { Pair } from './pairs/pair.ts';
import type { Picture } from './pictures/picture.ts';
import { NO_WORDS, type SampleWords } from './project/sample-words.ts';
import type { KeptRecipe } from './recipes/recipe.ts';
import type { Relatives } from './relatives/relatives.ts';
import type { Role } from './roles/role.ts';
import type { Round } from './rounds/round.ts';
import type { Theme } from './themes/theme.ts';
import type { Swatch } from './tray/swatch.ts';

/** The form that documents and commands have now. A change of it comes with a step in `versions/`. */
export const DOCUMENT_VERSION = 6;

/** The project document: everything that a project is, as plain JSON. Colours are canonical CSS text. */
export interface ProjectDocument {
  readonly version: typeof DOCUMENT_VERSION;
  readonly name: string;
  /** The role that lies beneath everything, over which translucent grounds are composited. */
  readonly ground: string | null;
  readonly words: SampleWords;
  readonly themes: readonly Theme[];
  readonly families: readonly Family[];
  readonly roles: readonly Role[];
  readonly pairs: readonly Pair[];
  readonly declined: readonly DeclinedPair[];
  readonly gradients: readonly Gradient[];
  readonly tray: readonly Swatch[];
  readonly pictures: readonly Picture[];
  readonly relatives: Relatives;
  readonly rounds: readonly Round[];
  readonly recipes: readonly KeptRecipe[];
  readonly notes: readonly Note[];
}

/** An empty project with some themes and nothing else. */
export function emptyDocument(name: string, themes: readonly Theme[]): ProjectDocument {
  return {
    version: DOCUMENT_VERSION,
    name,
    ground: null,
    words: NO_WORDS,
    themes: [...themes],
    families: [],
    roles: [],
    pairs: [],
    declined: [],
    gradients: [],
    tray: [],
    pictures: [],
    relatives: { source: null, rows: [] },
    rounds: [],
    recipes: [],
    notes: [],
  };
}
