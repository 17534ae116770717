import type { StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, replaced, without } from '../commands/lists.ts';
import { checkName, nameIn } from '../naming/names.ts';
import { type KeptRecipe, MOST_RECIPES } from './recipe.ts';

/** What these commands look at. */
export interface RecipeLists {
  readonly recipes: readonly KeptRecipe[];
}

export type RecipeCommand =
  | { readonly type: 'addRecipe'; readonly recipe: KeptRecipe; readonly index?: number }
  | { readonly type: 'removeRecipe'; readonly recipe: string }
  | { readonly type: 'renameRecipe'; readonly recipe: string; readonly name: string };

export const recipeSteps: StepsOf<RecipeCommand, RecipeLists> = {
  addRecipe(doc, { recipe, index }) {
    checkName(recipe.name, doc.recipes, recipe.id, 'recipe');
    return [
      { recipes: inserted(doc.recipes, recipe, index, MOST_RECIPES, 'recipe') },
      { type: 'removeRecipe', recipe: recipe.id },
    ];
  },

  removeRecipe(doc, { recipe }) {
    const index = indexOf(doc.recipes, recipe, 'recipe');
    return [
      { recipes: without(doc.recipes, index) },
      { type: 'addRecipe', recipe: doc.recipes[index]!, index },
    ];
  },

  renameRecipe(doc, { recipe, name }) {
    const index = indexOf(doc.recipes, recipe, 'recipe');
    checkName(name, doc.recipes, recipe, 'recipe');
    const old = doc.recipes[index]!;
    return [
      { recipes: replaced(doc.recipes, index, { ...old, name }) },
      { type: 'renameRecipe', recipe, name: old.name },
    ];
  },
};

export const recipeWords: WordsOf<RecipeCommand, RecipeLists> = {
  addRecipe: (_, { recipe }) => `keep the recipe ${recipe.name}`,
  removeRecipe: (doc, { recipe }) => `remove the recipe ${nameIn(doc.recipes, recipe)}`,
  renameRecipe: (doc, { recipe, name }) => `rename the recipe ${nameIn(doc.recipes, recipe)} to ${name}`,
};
