import { declinedWords } from '../declined/declined-commands.ts';
import type { ProjectDocument } from '../document.ts';
import { familyWords } from '../families/family-commands.ts';
import { gradientWords } from '../gradients/gradient-commands.ts';
import { noteWords } from '../notes/note-commands.ts';
import { pairWords } from '../pairs/pair-commands.ts';
import { pictureWords } from '../pictures/picture-commands.ts';
import { projectWords } from '../project/project-commands.ts';
import { recipeWords } from '../recipes/recipe-commands.ts';
import { relativesWords } from '../relatives/relatives-commands.ts';
import { roleWords } from '../roles/role-commands.ts';
import { roundWords } from '../rounds/round-commands.ts';
import { themeWords } from '../themes/theme-commands.ts';
import { swatchWords } from '../tray/swatch-commands.ts';
import type { Command, SimpleCommand } from './command.ts';
import type { WordsOf } from './definition.ts';

const WORDS: WordsOf<SimpleCommand> = {
  ...projectWords,
  ...themeWords,
  ...familyWords,
  ...roleWords,
  ...pairWords,
  ...declinedWords,
  ...gradientWords,
  ...swatchWords,
  ...pictureWords,
  ...relativesWords,
  ...roundWords,
  ...recipeWords,
  ...noteWords,
};

/** What a command does to a document, in a few words for menus and history: "change the base of Buoy". */
export function describeCommand(doc: ProjectDocument, command: Command): string {
  if (command.type === 'batch') return command.label;
  const words = WORDS[command.type] as (doc: ProjectDocument, command: SimpleCommand) => string;
  return words(doc, command);
}
