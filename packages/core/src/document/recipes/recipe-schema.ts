import type { KindSchemas } from '../kind.ts';
import type { CommandSchemas } from '../schema/keys.ts';
import type { SchemaParts } from '../schema/toolbox.ts';
import { type KeptRecipe, MOST_RECIPES } from './recipe.ts';
import type { RecipeCommand } from './recipe-commands.ts';

export function recipeSchemas(
  parts: SchemaParts,
): KindSchemas<{ recipes: readonly KeptRecipe[] }, RecipeCommand> {
  const { objectOf, optional, growth, id, index, name } = parts;
  const recipeSchema = objectOf<KeptRecipe>({ id, name, growth });

  const recipeCommandSchemas: CommandSchemas<RecipeCommand> = {
    addRecipe: { recipe: recipeSchema, index: optional(index) },
    removeRecipe: { recipe: id },
    renameRecipe: { recipe: id, name },
  };

  return { parts: { recipes: parts.listOf(recipeSchema, MOST_RECIPES) }, commands: recipeCommandSchemas };
}
