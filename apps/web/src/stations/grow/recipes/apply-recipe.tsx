import type { Command, SimpleCommand } from '@mint-lamp/core/document/commands/command';
import { groundOfGrowth } from '@mint-lamp/core/document/links/growth-ground';
import type { KeptRecipe } from '@mint-lamp/core/document/recipes/recipe';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { useEditing } from '../../../store/editing.ts';
import { selectProject } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';

/** A family cannot grow on its own shades. */
const fits = ({ growth }: KeptRecipe, family: string) => {
  const ground = groundOfGrowth(growth);
  return !(ground && 'family' in ground && ground.family === family);
};

interface ApplyRecipeProps {
  recipe: KeptRecipe;
  /** The open family, which is not chosen beforehand: the recipe may be its own. */
  except: string;
  onTry: (trying: boolean) => void;
  onDone: () => void;
}

/** Chooses the families that a recipe is applied to; the rails show at once what that comes to. */
export function ApplyRecipe({ recipe, except, onTry, onDone }: ApplyRecipeProps) {
  const families = useAppSelector((state) => selectProject(state).document.families);
  const { edit, preview } = useEditing();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(families.map(({ id }) => id).filter((id) => id !== except)),
  );
  const command = useMemo((): Command | null => {
    const commands = families
      .filter(({ id }) => chosen.has(id) && fits(recipe, id))
      .map(({ id }): SimpleCommand => ({ type: 'setGrowth', family: id, growth: recipe.growth }));
    return commands.length ? { type: 'batch', label: `apply the recipe ${recipe.name}`, commands } : null;
  }, [families, chosen, recipe]);
  useEffect(() => {
    onTry(true);
    preview(command);
    return () => {
      onTry(false);
      preview(null);
    };
  }, [command, onTry, preview]);
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const apply = () => {
    if (!command) return;
    const n = command.type === 'batch' ? command.commands.length : 1;
    if (edit(command))
      toast(
        `${n === 1 ? 'One family grows' : `${n} families grow`} by ${recipe.name} now; one undo takes it back`,
      );
    onDone();
  };
  return (
    <fieldset className="mt-2 rounded-md border border-hair p-2">
      <legend className="px-1 text-sm">Apply {recipe.name} to</legend>
      <div className="grid grid-cols-2 gap-x-2">
        {families.map(({ id, name }) => (
          <label
            key={id}
            className="flex min-w-0 items-center gap-1.5"
            title={fits(recipe, id) ? undefined : 'It is what this recipe grows on'}
          >
            <input
              type="checkbox"
              checked={chosen.has(id) && fits(recipe, id)}
              disabled={!fits(recipe, id)}
              onChange={() => toggle(id)}
            />
            <span className="truncate">{name}</span>
          </label>
        ))}
      </div>
      <p className="my-1 text-sm text-quiet">
        The rails above already show it. Hollow bars mark where shades are now.
      </p>
      <div className="flex gap-2">
        <Button small look="primary" disabled={!command} onClick={apply}>
          Apply
        </Button>
        <Button small onClick={onDone}>
          Discard
        </Button>
      </div>
    </fieldset>
  );
}
