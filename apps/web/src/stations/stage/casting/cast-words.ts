import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import { SCENE_USES } from '@mint-lamp/core/document/scenes/scene-uses';
import type { CastUse, CastUses } from '@mint-lamp/core/system/scenes/cast';

/** What paints a use, by its name. */
export function paintName({ roles, gradients, pictures }: ProjectDocument, { link }: CastUse): string {
  if (!link) return 'nothing';
  if (link.to === 'role') return roleNameIn(roles, link.role);
  const list = link.to === 'gradient' ? gradients : pictures;
  const id = link.to === 'gradient' ? link.gradient : link.picture;
  return list.find((one) => one.id === id)?.name ?? 'nothing';
}

/** Uses that somebody might want to look at, the worst first: painted by nothing, stood in for, claimed by several. */
export interface CastDoubts {
  readonly unpainted: readonly CastUse[];
  readonly standIns: readonly CastUse[];
  readonly several: readonly CastUse[];
}

export function castDoubts(uses: CastUses): CastDoubts {
  const all = [...uses.values()];
  return {
    unpainted: all.filter(({ use, how }) => how === 'nothing' && !('optional' in SCENE_USES[use])),
    standIns: all.filter(({ how }) => how === 'stand-in'),
    several: all.filter(({ how, fits }) => how === 'name' && fits.length > 1),
  };
}
