import { kindOf } from '../kind.ts';
import { checkName } from '../naming/names.ts';
import type { KeptRecipe } from './recipe.ts';
import { type RecipeCommand, type RecipeLists, recipeSteps, recipeWords } from './recipe-commands.ts';
import { recipeSchemas } from './recipe-schema.ts';

export const recipes = kindOf<{ readonly recipes: readonly KeptRecipe[] }, RecipeCommand, RecipeLists>()({
  empty: { recipes: [] },
  steps: recipeSteps,
  words: recipeWords,
  schemas: recipeSchemas,
  check({ recipes }) {
    for (const { id, name } of recipes) checkName(name, recipes, id, 'recipe');
  },
  compared: {
    recipes: {
      as: 'whole',
      title: 'Recipes',
      add: (recipe, index) => ({ type: 'addRecipe', recipe, index }),
      remove: (recipe) => ({ type: 'removeRecipe', recipe }),
    },
  },
});
