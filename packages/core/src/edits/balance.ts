import { luminance } from '../contrast/ratio.ts';
import { applyCommand } from '../document/commands/apply.ts';
import type { Command } from '../document/commands/command.ts';
import type { Link } from '../document/links/link.ts';
import { linkName } from '../document/naming/link-name.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { balanceOf } from '../judged/balance.ts';
import { type Readout, readoutOf } from '../judged/readout/readout.ts';
import type { Painted } from '../system/painted.ts';
import { type ResolvedTheme, resolveSystem } from '../system/resolve.ts';

/** A role that would take another family's shade, so that areas come nearer to 60 / 30 / 10. */
export interface BalanceWay {
  readonly role: string;
  /** In words: "page.raised in Deepwater 50 instead of #ffffff". */
  readonly name: string;
  /** What is off before and after, 0–1. */
  readonly off: number;
  readonly offThen: number;
  /** Pairs of all themes that would pass afterwards beyond those that pass now; below 0 where some cease to. */
  readonly passing: number;
  readonly command: Command;
}

/** Roles and ways that are looked into, and that are told. */
const MOST_ROLES = 8;
const MOST_TRIED = 6;
const MOST_TOLD = 3;
/** Families that a role could come to: the first, the second, the third. */
const LEADING = 3;
/** The least share that is worth a change. */
const WORTH = 0.01;

/** The shade of a family that is as light. */
function asLight(shades: readonly (Painted & { readonly label: string })[], color: Painted) {
  const wanted = luminance(color);
  return shades.reduce<(typeof shades)[number] | null>(
    (best, one) =>
      one.alpha === 1 && (!best || Math.abs(luminance(one) - wanted) < Math.abs(luminance(best) - wanted))
        ? one
        : best,
    null,
  );
}

/** Which family a role's colour is of; plain colours stand for none. */
export const familyOfRole = (theme: ResolvedTheme, role: string, plain: string): string =>
  theme.roles.get(role)?.source?.family ?? plain;

/**
 * What would bring the areas of a theme nearer to 60 / 30 / 10: of the roles that cover most, those that could take a shade
 * of another of the three leading families that is as light, the best first, none that makes a pair fail. `shares` is what each role covers, 0–1;
 * `plain` stands for colours of no family.
 */
export function balanceWays(
  readout: Readout,
  theme: ResolvedTheme,
  shares: ReadonlyMap<string, number>,
  plain: string,
): BalanceWay[] {
  const { system } = readout;
  const byFamily = new Map<string, number>();
  const add = (map: Map<string, number>, key: string, share: number) =>
    map.set(key, (map.get(key) ?? 0) + share);
  for (const [role, share] of shares) add(byFamily, familyOfRole(theme, role, plain), share);
  const { off, families } = balanceOf(byFamily);
  // Those that hold the page together anyway: a notice's family does not become a page's.
  const leading = new Set(families.slice(0, LEADING).map(({ key }) => key));
  const largest = [...shares].sort((a, b) => b[1] - a[1]).slice(0, MOST_ROLES);
  const tried = largest.flatMap(([role, share]) => {
    const resolved = theme.roles.get(role);
    const { color } = resolved ?? {};
    if (!resolved || !color || color.alpha < 1) return [];
    const own = familyOfRole(theme, role, plain);
    return [...system.families.values()].flatMap(({ family, shades }) => {
      const shade = family.id === own || !leading.has(family.id) ? null : asLight(shades, color);
      if (!shade) return [];
      const then = new Map(byFamily);
      add(then, own, -share);
      add(then, family.id, share);
      const link: Link = { to: 'shade', family: family.id, shade: shade.label };
      return [{ resolved, link, offThen: balanceOf(then).off }];
    });
  });
  const best = tried
    .filter(({ offThen }) => off - offThen >= WORTH)
    .sort((a, b) => a.offThen - b.offThen)
    .slice(0, MOST_TRIED);
  return best
    .flatMap(({ resolved, link, offThen }): BalanceWay[] => {
      const { role } = resolved;
      const command: Command = { type: 'setLink', role: role.id, theme: theme.theme.id, link };
      const result = applyCommand(system.document, command);
      if (!result.ok) return [];
      const then = readoutOf(resolveSystem(result.document, system), readout, readout.layers);
      const passing = then.passingOverall - readout.passingOverall;
      if (passing < 0) return [];
      const name = `${writeRoleName(role)} in ${linkName(system.document, link)} instead of ${linkName(system.document, resolved.link)}`;
      return [{ role: role.id, name, off, offThen, passing, command }];
    })
    .slice(0, MOST_TOLD);
}
