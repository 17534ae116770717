import { usageOf } from '../../document/coherence/role-use.ts';
import type { Link } from '../../document/links/link.ts';
import type { RoleUse } from '../../document/roles/use-names.ts';
import type { PageColor } from '../../page/page-colors.ts';
import type { ResolvedTheme, System } from '../../system/resolve.ts';
import { castOf } from '../../system/scenes/cast.ts';
import { usesByName } from '../../system/scenes/use-names.ts';
import { matchColors, roleCandidates } from './match-colors.ts';

/** What roles may be shown as, that paint a part of a page. */
const SHOWN_AS: Readonly<Record<NonNullable<PageColor['part']>, readonly RoleUse[]>> = {
  text: ['text'],
  ground: ['ground', 'fill'],
  line: ['line', 'ring'],
  shadow: [],
};

/**
 * The roles that the colours of a page are linked to: custom properties by their names, as scenes find their roles; other
 * colours by the nearest role of those that paint such a part, the darker the darker. By the keys of the colours.
 */
export function matchPage(
  system: System,
  theme: ResolvedTheme,
  colors: readonly PageColor[],
): ReadonlyMap<string, Link> {
  const { document } = system;
  const cast = castOf(document);
  const out = new Map<string, Link>();
  const rest: PageColor[] = [];
  for (const color of colors) {
    const [best] = color.part === null ? [...usesByName([color.key])].sort((a, b) => a[1] - b[1]) : [];
    const entry = best && cast.get(best[0]);
    if (entry?.link?.to === 'role' && entry.how !== 'stand-in')
      out.set(color.key, { to: 'role', role: entry.link.role });
    else rest.push(color);
  }
  for (const part of ['text', 'ground', 'line', null] as const) {
    const own = rest.filter((color) => color.part === part);
    const roles = document.roles.filter(
      (role) => part === null || SHOWN_AS[part].includes(usageOf(role, document.pairs)),
    );
    const links = matchColors([...new Set(own.map(({ color }) => color))], roleCandidates(theme, roles));
    for (const { key, color } of own) {
      const link = links.get(color);
      if (link) out.set(key, link);
    }
  }
  return out;
}
