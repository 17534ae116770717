import type { ResolvedTheme } from '@mint-lamp/core/system/resolve';
import type { CastUses } from '@mint-lamp/core/system/scenes/cast';
import type { PaintedAreas } from './painted-areas.ts';

/** Shares of scenes, 0–1, by id; the largest first. */
export interface AreaShares {
  readonly roles: ReadonlyMap<string, number>;
  readonly families: ReadonlyMap<string, number>;
  /** Of gradients and pictures that nothing but themselves stands for. */
  readonly wide: number;
  /** Of what nothing paints. */
  readonly unpainted: number;
}

const sorted = (map: Map<string, number>) => new Map([...map].sort((a, b) => b[1] - a[1]));

/** What roles and families cover of some scenes together, every pixel counted alike, in a theme. */
export function areaShares(areas: readonly PaintedAreas[], uses: CastUses, theme: ResolvedTheme): AreaShares {
  const [roles, families] = [new Map<string, number>(), new Map<string, number>()];
  let [wide, painted, all] = [0, 0, 0];
  for (const area of areas) all += area.all;
  const add = (map: Map<string, number>, id: string, px: number) =>
    map.set(id, (map.get(id) ?? 0) + px / all);
  for (const area of areas)
    for (const [use, px] of area.px) {
      const link = uses.get(use)?.link;
      painted += px;
      if (link?.to !== 'role') {
        wide += px / all;
        continue;
      }
      add(roles, link.role, px);
      const source = theme.roles.get(link.role)?.source;
      if (source) add(families, source.family, px);
    }
  return { roles: sorted(roles), families: sorted(families), wide, unpainted: all ? 1 - painted / all : 0 };
}
