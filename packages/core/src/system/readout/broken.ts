import { type LostStops, lostStops } from '../gradients/theme-gradients.ts';
import type { Pair } from '../pairs/pair.ts';
import type { ResolvedTheme, System } from '../resolve/resolve.ts';
import type { ResolvedRole } from '../roles/resolved-role.ts';

export interface BrokenLink {
  readonly kind: 'role' | 'stop' | 'pair';
  /** Role, gradient or pair id. */
  readonly id: string;
  readonly theme: string;
  readonly problem: string;
}

/** What is broken in one theme, and what that was found from. */
export interface BrokenInTheme {
  readonly theme: ResolvedTheme;
  readonly pairs: readonly Pair[];
  readonly shape: object;
  readonly broken: readonly BrokenLink[];
}

function brokenRoles(theme: string, roles: Iterable<ResolvedRole>): BrokenLink[] {
  const out: BrokenLink[] = [];
  for (const { role, problem } of roles) if (problem) out.push({ kind: 'role', id: role.id, theme, problem });
  return out;
}

const brokenStops = (theme: string, lost: LostStops): BrokenLink[] =>
  [...lost].map(([id, n]) => ({ kind: 'stop', id, theme, problem: `${n} of its stops have no colour.` }));

/** The broken links of a theme, those of what has not changed taken over. */
export function brokenIn(system: System, theme: ResolvedTheme, before?: BrokenInTheme): BrokenInTheme {
  const { pairs, gradients } = system.document;
  const { shape } = system;
  if (before?.theme === theme && before.pairs === pairs && before.shape === shape) return before;
  const { id } = theme.theme;
  const roles = brokenRoles(id, theme.roles.values());
  const lost = lostStops(
    gradients,
    system.families,
    shape,
    theme.roles,
    roles.map((link) => link.id),
  );
  const lonely = pairs.filter(
    ({ foreground, background }) => !theme.roles.index.has(foreground) || !theme.roles.index.has(background),
  );
  const problem = 'One of its roles does not exist any more.';
  const broken = [
    ...roles,
    ...brokenStops(id, lost),
    ...lonely.map((pair): BrokenLink => ({ kind: 'pair', id: pair.id, theme: id, problem })),
  ];
  return { theme, pairs, shape, broken };
}
