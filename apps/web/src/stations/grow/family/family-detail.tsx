import type { Rgba } from '@mint-lamp/core/contrast/ratio';
import type { ResolvedFamily } from '@mint-lamp/core/system/families/resolved-family';
import { useEditing } from '../../../store/editing.ts';
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

interface FamilyDetailProps {
  resolved: ResolvedFamily;
  /** The first ground of the marks. */
  ground: Rgba;
  /** Told when recipes are tried on families, and when no longer. */
  onTry: (trying: boolean) => void;
}

/** The open family: its shades side by side, its name, what its base follows, and the recipe that it grows by. */
export function FamilyDetail({ resolved, ground, onTry }: FamilyDetailProps) {
  const { family } = resolved;
  const { tryEdit } = useEditing();
  return (
    <section
      aria-label={family.name}
      className="mt-3 grid grid-cols-[1fr_300px] narrow:grid-cols-1 gap-5 border-t border-hair bg-raised px-5 py-4 [contain-intrinsic-size:auto_560px] [content-visibility:auto]"
    >
      <div className="min-w-0">
        <div className="mb-3 flex flex-wrap items-end gap-x-3 gap-y-2">
          <TextField
            label="Family"
            value={family.name}
            onCommit={(name) => tryEdit({ type: 'renameFamily', family: family.id, name })}
            className="w-44"
          />
          <FollowChoice id={family.id} name={family.name} follows={family.follows} />
          <FamilyTools family={family.id} />
        </div>
        <ShadeTiles resolved={resolved} />
        <ShadeTools resolved={resolved} />
        <LeftBehind resolved={resolved} />
        <PartedFromBase resolved={resolved} />
        <Curves resolved={resolved} />
      </div>
      <div className="flex min-w-0 flex-col gap-3">
        <GrowthPanel family={family.id} growth={family.growth} ground={ground} grownOn={resolved.ground} />
        <Recipes family={family.id} name={family.name} onTry={onTry} />
      </div>
    </section>
  );
}
