import { growthSchema } from '../families/family-schema.ts';
import { type CommandSchemas, objectOf, optional } from '../schema/keys.ts';
import { id, index, name } from '../schema/parts.ts';
import type { KeptRecipe } from './recipe.ts';
import type { RecipeCommand } from './recipe-commands.ts';

export const recipeSchema = objectOf<KeptRecipe>({ id, name, growth: growthSchema });

export const recipeCommandSchemas: CommandSchemas<RecipeCommand> = {
  addRecipe: { recipe: recipeSchema, index: optional(index) },
  removeRecipe: { recipe: id },
  renameRecipe: { recipe: id, name },
};
