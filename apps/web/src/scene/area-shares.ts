import type { SceneUse } from '@mint-lamp/core/document/scenes/scene-uses';
import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { CastUses } from '@mint-lamp/core/system/scenes/cast';

/** What each use really covers of a scene, in px as they are painted; what is under something else counts nothing. */
export interface PaintedAreas {
  readonly px: ReadonlyMap<SceneUse, number>;
  /** Of the whole scene, where nothing paints it too. */
  readonly all: number;
}

/** Stands for what roles paint by plain colours, which are of no family; and for gradients and pictures. */
export const PLAIN = ' plain';
export const WIDE = ' wide';

/** Shares of scenes, 0–1, by id; the largest first. */
export interface AreaShares {
  readonly roles: ReadonlyMap<string, number>;
  /** By family, plain colours under {@link PLAIN}, gradients and pictures under {@link WIDE}. */
  readonly families: ReadonlyMap<string, number>;
  /** Of what nothing paints. */
  readonly unpainted: number;
}

const sorted = (map: Map<string, number>) => new Map([...map].sort((a, b) => b[1] - a[1]));

/** What roles and families cover of some scenes together, every pixel counted alike, in a theme. */
export function areaShares(areas: readonly PaintedAreas[], uses: CastUses, theme: ResolvedTheme): AreaShares {
  const [roles, families] = [new Map<string, number>(), new Map<string, number>()];
  let [painted, all] = [0, 0];
  for (const area of areas) all += area.all;
  const add = (map: Map<string, number>, id: string, px: number) =>
    map.set(id, (map.get(id) ?? 0) + px / all);
  for (const area of areas)
    for (const [use, px] of area.px) {
      painted += px;
      const link = uses.get(use)?.link;
      const role = link?.to === 'role' ? theme.roles.get(link.role) : undefined;
      if (!role || role.gradient !== null) {
        add(families, WIDE, px);
        continue;
      }
      add(roles, role.role.id, px);
      add(families, role.source?.family ?? PLAIN, px);
    }
  return { roles: sorted(roles), families: sorted(families), unpainted: all ? 1 - painted / all : 0 };
}
