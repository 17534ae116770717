import { freeName, slugsOf } from '@mint-lamp/core/document/naming/names';
import type { KeptRecipe } from '@mint-lamp/core/document/recipes/recipe';
import { Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { useStore } from 'react-redux';
import { newId, useEditing } from '../../../store/editing.ts';
import { selectDocument, useDocumentPart } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { ApplyRecipe } from './apply-recipe.tsx';

interface RecipesProps {
  family: string;
  name: string;
  onTry: (trying: boolean) => void;
}

/** The project's own recipes: kept from a growth, tried on the rails, and applied to families in one go. */
export const Recipes = memo(function Recipes({ family, name, onTry }: RecipesProps) {
  const store = useStore() as AppStore;
  const recipes = useDocumentPart('recipes');
  const { edit, tryEdit } = useEditing();
  const [applied, setApplied] = useState<string | null>(null);
  const keep = () => {
    const own = selectDocument(store.getState()).families.find(({ id }) => id === family);
    if (!own) return;
    const recipe: KeptRecipe = {
      id: newId(),
      name: freeName(`As ${name}`.slice(0, 70), slugsOf(recipes)),
      growth: own.growth,
    };
    edit({ type: 'addRecipe', recipe });
  };
  const one = recipes.find(({ id }) => id === applied);
  return (
    <section aria-label="Recipes" data-help="recipes" className="border-t border-hair pt-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-sm text-quiet">The project’s recipes</h2>
        <Button small onClick={keep} title={`Keeps how ${name} grows under a name`}>
          Keep this growth
        </Button>
      </div>
      {!recipes.length && (
        <p className="mt-1 text-sm text-quiet">
          None yet. Keep this growth to apply it to other families in one go.
        </p>
      )}
      <ul className="mt-1 flex flex-col gap-1">
        {recipes.map(({ id, name: called, growth }) => (
          <li key={id} className="flex items-center gap-1">
            <TextField
              label={`Name of the recipe ${called}`}
              hideLabel
              value={called}
              onCommit={(next) => tryEdit({ type: 'renameRecipe', recipe: id, name: next })}
              className="flex-1"
            />
            <Button
              small
              aria-expanded={applied === id}
              title={`${growth.labels.length} shades`}
              onClick={() => setApplied(applied === id ? null : id)}
            >
              Apply …
            </Button>
            <IconButton
              small
              label={`Remove the recipe ${called}`}
              onClick={() => {
                setApplied(null);
                edit({ type: 'removeRecipe', recipe: id });
              }}
            >
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          </li>
        ))}
      </ul>
      {one && (
        <ApplyRecipe
          key={one.id}
          recipe={one}
          except={family}
          onTry={onTry}
          onDone={() => setApplied(null)}
        />
      )}
    </section>
  );
});
