import type { Gradient } from '../../document/gradients/gradient.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Picture } from '../../document/pictures/picture.ts';
import { type LostStops, lostEverywhere, lostIn } from '../../system/gradients/lost-stops.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';

export interface BrokenLink {
  readonly kind: 'role' | 'stop' | 'pair' | 'family';
  /** Role, gradient, pair or family id. */
  readonly id: string;
  readonly theme: string;
  readonly problem: string;
}

/** What is broken in one theme, and what that was found from. */
export interface BrokenInTheme {
  readonly theme: ResolvedTheme;
  readonly everywhere: BrokenEverywhere;
  readonly broken: readonly BrokenLink[];
}

/** What is broken whatever the theme, since it points to something that is not there. */
export interface BrokenEverywhere {
  readonly gradients: readonly Gradient[];
  readonly pairs: readonly Pair[];
  readonly pictures: readonly Picture[];
  readonly shape: object;
  readonly index: ReadonlyMap<string, number>;
  readonly lost: LostStops;
  readonly lonely: readonly Pair[];
}

/** What is broken in every theme, taken over where what it depends on is the same. */
export function brokenEverywhere(system: System, before?: BrokenEverywhere): BrokenEverywhere {
  const { gradients, pairs, pictures } = system.document;
  const { shape, families } = system;
  const index: ReadonlyMap<string, number> = system.themes.values().next().value?.roles.index ?? new Map();
  const sameRoles = before?.index === index;
  if (
    before &&
    sameRoles &&
    before.gradients === gradients &&
    before.pairs === pairs &&
    before.pictures === pictures &&
    before.shape === shape
  )
    return before;
  const lost = lostEverywhere(gradients, { families, shape, roles: index });
  const sameThings = before?.gradients === gradients && before.pictures === pictures;
  const lonely =
    sameRoles && sameThings && before.pairs === pairs
      ? before.lonely
      : pairs.filter(
          ({ foreground, background, veil, backdrop }) =>
            !index.has(foreground) ||
            !index.has(background) ||
            (veil !== undefined && !index.has(veil)) ||
            (backdrop?.kind === 'gradient' && !gradients.some(({ id }) => id === backdrop.gradient)) ||
            (backdrop?.kind === 'picture' && !pictures.some(({ id }) => id === backdrop.picture)),
        );
  return { gradients, pairs, pictures, shape, index, lost, lonely };
}

/** Families that should follow something that is gone, told once and not for each theme. */
export function brokenFamilies({ families, document }: System): BrokenLink[] {
  const theme = document.themes[0]?.id ?? '';
  return [...families.values()].flatMap(({ family: { id }, problem }) =>
    problem ? [{ kind: 'family' as const, id, theme, problem }] : [],
  );
}

const LONELY = 'One of its roles, or what lies under its text, no longer exists.';

/** The broken links of a theme, taken over where nothing of it has changed. */
export function brokenIn(
  theme: ResolvedTheme,
  everywhere: BrokenEverywhere,
  before?: BrokenInTheme,
): BrokenInTheme {
  if (before?.theme === theme && before.everywhere === everywhere) return before;
  const { id } = theme.theme;
  const broken: BrokenLink[] = [];
  for (const { role, problem } of theme.roles.values())
    if (problem) broken.push({ kind: 'role', id: role.id, theme: id, problem });
  const colorless = broken.map((link) => link.id);
  for (const [gradient, n] of lostIn(everywhere.gradients, everywhere.lost, theme.roles, colorless))
    broken.push({ kind: 'stop', id: gradient, theme: id, problem: `${n} of its stops have no colour.` });
  for (const pair of everywhere.lonely)
    broken.push({ kind: 'pair', id: pair.id, theme: id, problem: LONELY });
  return { theme, everywhere, broken };
}
