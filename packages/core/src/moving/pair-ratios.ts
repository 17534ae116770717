import { readColor } from '../color/parse.ts';
import { canonical } from '../color/write.ts';
import { contrastRatio, paintedOver, reaches } from '../contrast/ratio.ts';
import { requiredRatio } from '../contrast/targets.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { opaque } from '../sheet/counted-colors.ts';
import type { SheetSystem } from '../sheet/sheet-system.ts';
import { paint } from '../system/painted.ts';
import { roleColors } from './role-colors.ts';

/** What the pairs of sheets are asked to reach: AA for body text. */
export const ASKED = requiredRatio({ level: 'AA', content: 'body' });

/** What a pair of a sheet comes to in a theme. */
export interface PairRatio {
  readonly key: string;
  /** Names of its roles. */
  readonly text: string;
  readonly ground: string;
  readonly theme: string;
  /** As CSS, and their contrast. */
  readonly colors: readonly [text: string, ground: string];
  readonly ratio: number;
  readonly passes: boolean;
}

/** The contrast of every pair of a proposal in every theme; `as` says what a colour is painted as, by default itself. */
export function pairRatios(
  system: SheetSystem,
  as: (color: string) => string = (color) => color,
): PairRatio[] {
  const colorOf = roleColors(system);
  const names = new Map(system.roles.map((role) => [role.property, writeRoleName(role)]));
  return system.pairs.flatMap(({ key, text, ground }) =>
    system.themes.flatMap((theme): PairRatio[] => {
      const [over, beneath] = [colorOf(text, theme.key), colorOf(ground, theme.key)];
      if (over === null || beneath === null) return [];
      const [a, b] = [paint(as(over)), paint(as(beneath))];
      // What a translucent ground lies on is not known.
      if (b.alpha < 1) return [];
      const ratio = contrastRatio(paintedOver(a, b), b);
      const passes = reaches(ratio, ASKED);
      return [
        {
          key,
          text: names.get(text)!,
          ground: names.get(ground)!,
          theme: theme.name,
          colors: [a.css, b.css],
          ratio,
          passes,
        },
      ];
    }),
  );
}

/** A pair before and after colours moved. */
export interface TurnedPair {
  readonly was: PairRatio;
  readonly is: PairRatio;
}

/** What it comes to that colours of a sheet may move. */
export interface Movement {
  /** Colours that give way to another. */
  readonly moved: number;
  /** Colours that are left. */
  readonly left: number;
  /** The furthest that one moves, ΔE OK. */
  readonly furthest: number;
  readonly begin: readonly TurnedPair[];
  readonly cease: readonly TurnedPair[];
}

/** What is saved by colours giving way to others, and what pairs it makes pass or fail. */
export function movementOf(system: SheetSystem): Movement {
  const into = new Map<string, string>();
  let furthest = 0;
  for (const { snapped } of system.families)
    for (const one of snapped)
      if (one.into !== undefined && one.distance > 0) {
        into.set(one.color, one.into);
        furthest = Math.max(furthest, one.distance);
      }
  const as = (color: string) => {
    const plain = opaque(color);
    const other = into.get(plain);
    if (other === undefined) return color;
    return plain === color ? other : canonical({ ...readColor(other), alpha: readColor(color).alpha });
  };
  const before = pairRatios(system);
  const after = into.size ? pairRatios(system, as) : before;
  const turned = before.map((was, i): TurnedPair => ({ was, is: after[i]! }));
  return {
    moved: into.size,
    left: system.colors - into.size,
    furthest,
    begin: turned.filter(({ was, is }) => !was.passes && is.passes),
    cease: turned.filter(({ was, is }) => was.passes && !is.passes),
  };
}
