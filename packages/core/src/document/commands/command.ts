import type { DeclinedCommand } from '../declined/declined-commands.ts';
import type { FamilyCommand } from '../families/family-commands.ts';
import type { GradientCommand } from '../gradients/gradient-commands.ts';
import type { NoteCommand } from '../notes/note-commands.ts';
import type { PairCommand } from '../pairs/pair-commands.ts';
import type { PictureCommand } from '../pictures/picture-commands.ts';
import type { ProjectCommand } from '../project/project-commands.ts';
import type { RecipeCommand } from '../recipes/recipe-commands.ts';
import type { RelativesCommand } from '../relatives/relatives-commands.ts';
import type { RoleCommand } from '../roles/role-commands.ts';
import type { RoundCommand } from '../rounds/round-commands.ts';
import type { ThemeCommand } from '../themes/theme-commands.ts';
import type { SwatchCommand } from '../tray/swatch-commands.ts';
import type { Batch } from './definition.ts';

/**
 * Every change to a document, from the folders of the things that they change. A command is small, named and
 * serialisable; ids of new things come with it, so that browser and server make the same document of it. An
 * `index` left out means the end of the list.
 */
export type SimpleCommand =
  | ProjectCommand
  | ThemeCommand
  | FamilyCommand
  | RoleCommand
  | PairCommand
  | DeclinedCommand
  | GradientCommand
  | SwatchCommand
  | PictureCommand
  | RelativesCommand
  | RoundCommand
  | RecipeCommand
  | NoteCommand;

export type Command = SimpleCommand | Batch<SimpleCommand>;
export type CommandOf<T extends SimpleCommand['type']> = Extract<SimpleCommand, { type: T }>;

/** Commands of one batch. */
export const MOST_IN_BATCH = 2000;

/** The work that a command comes to: 1, or the commands of a batch. */
export const workOf = (command: Command): number => (command.type === 'batch' ? command.commands.length : 1);
