import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import { shallowEqual } from 'react-redux';
import { useEditing } from '../../../store/editing.ts';
import { inTurns, READ } from '../../../store/in-turns.tsx';
import { selectSystem, useSystem } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { TextField } from '../../../ui/text-field.tsx';
import { Curves } from '../growth/curves.tsx';
import { GrowthPanel } from '../growth/growth-panel.tsx';
import { Recipes } from '../recipes/recipes.tsx';
import { LeftBehind } from '../shades/left-behind.tsx';
import { ShadeTiles } from '../shades/shade-tiles.tsx';
import { ShadeTools } from '../shades/shade-tools.tsx';
import { FamilyTools } from './family-tools.tsx';
import { FollowChoice } from './follow-choice.tsx';
import { PartedFromBase } from './parted-from-base.tsx';

const Tiles = inTurns(
  function Tiles({ family }: { family: string }) {
    const resolved = useSystem().families.get(family);
    return resolved ? <ShadeTiles resolved={resolved} /> : null;
  },
  { box: '' },
);

/** What can be done with them, and what is to be told of them. */
const OfItsShades = inTurns(function OfItsShades({ family }: { family: string }) {
  const resolved = useSystem().families.get(family);
  if (!resolved) return null;
  return (
    <>
      <ShadeTools resolved={resolved} />
      <LeftBehind resolved={resolved} />
      <PartedFromBase resolved={resolved} />
    </>
  );
}, READ);

interface FamilyDetailProps {
  /** Its id. */
  family: string;
  /** The first ground of the marks. */
  ground: Rgba;
  /** Told when recipes are tried on families, and when no longer. */
  onTry: (trying: boolean) => void;
}

/** The open family: its shades side by side, its name, what its base follows, and the recipe that it grows by. */
export const FamilyDetail = inTurns(function FamilyDetail({ family: id, ground, onTry }: FamilyDetailProps) {
  const { tryEdit } = useEditing();
  // No more than what a drag of the base leaves as it is.
  const told = useAppSelector((state) => {
    const { family, ground: grownOn } = selectSystem(state).families.get(id) ?? {};
    return family && { name: family.name, follows: family.follows, growth: family.growth, grownOn };
  }, shallowEqual);
  if (!told) return null;
  const { name, follows, growth, grownOn } = told;
  return (
    <section
      aria-label={name}
      className="mt-3 grid grid-cols-[1fr_300px] narrow:grid-cols-1 gap-5 border-t border-hair bg-raised px-5 py-4 [contain-intrinsic-size:auto_560px] [content-visibility:auto]"
    >
      <div className="min-w-0 *:isolate">
        <div className="mb-3 flex flex-wrap items-end gap-x-3 gap-y-2">
          <TextField
            label="Family"
            value={name}
            onCommit={(next) => tryEdit({ type: 'renameFamily', family: id, name: next })}
            className="w-44"
          />
          <FollowChoice id={id} name={name} follows={follows} />
          <FamilyTools family={id} />
        </div>
        <Tiles family={id} />
        <OfItsShades family={id} />
        <Curves family={id} />
      </div>
      <div className="flex min-w-0 flex-col gap-3 *:isolate">
        <GrowthPanel family={id} growth={growth} ground={ground} grownOn={grownOn ?? null} />
        <Recipes family={id} name={name} onTry={onTry} />
      </div>
    </section>
  );
}, READ);
