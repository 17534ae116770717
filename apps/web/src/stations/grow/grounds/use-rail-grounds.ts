import { paintedOver, type Rgba } from '@mint-lamp/core/contrast/ratio';
import type { Link } from '@mint-lamp/core/document/links/link';
import { linkName } from '@mint-lamp/core/document/naming/link-name';
import { groundOf } from '@mint-lamp/core/judged/pairs/measure';
import { follow, NO_ROLE } from '@mint-lamp/core/system/follow';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import { useCallback, useState } from 'react';
import { selectSystem, selectTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { ofTab } from '../../../storing/storage.ts';

/** What the marks are drawn against. */
export interface RailGround {
  readonly link: Link;
  readonly name: string;
  readonly color: Rgba;
}

const KEY = 'mint-lamp/rail-grounds';
const WHITE: Link = { to: 'color', color: '#ffffff' };

/** A link as one line, to remember it in this tab: ids have no spaces, labels may. */
function write(link: Link): string {
  if (link.to === 'shade') return `shade ${link.family} ${link.shade}`;
  if (link.to === 'color') return `color ${link.color}`;
  return link.to === 'base' ? `base ${link.family}` : `role ${link.role}`;
}

function read(line: string): Link | null {
  const [, to, rest = ''] = /^(\w+) (.+)$/.exec(line) ?? [];
  if (to === 'role') return { to, role: rest };
  if (to === 'base') return { to, family: rest };
  if (to === 'color') return { to, color: rest };
  const [, family, shade] = /^(\S+) (.+)$/.exec(rest) ?? [];
  return to === 'shade' && family && shade ? { to, family, shade } : null;
}

/** What a link comes to as a ground in a theme: opaque, on what lies beneath the page; null when it leads nowhere. */
function groundColor(system: System, theme: ResolvedTheme, link: Link): Rgba | null {
  const { color } = follow(link, {
    families: system.families,
    hasGradient: () => false,
    roleOf: (id) => theme.roles.get(id) ?? NO_ROLE,
  });
  return color && paintedOver(color, groundOf(system, theme));
}

const same = (a: readonly RailGround[], b: readonly RailGround[]) =>
  a.length === b.length &&
  a.every((one, i) => {
    const other = b[i]!;
    const { r, g, b: blue } = one.color;
    const equal = r === other.color.r && g === other.color.g && blue === other.color.b;
    return equal && one.name === other.name && write(one.link) === write(other.link);
  });

/** What the marks are drawn against where nothing that was chosen leads anywhere: the page. */
function usualGround(system: System, theme: ResolvedTheme): RailGround {
  const link: Link = system.document.ground ? { to: 'role', role: system.document.ground } : WHITE;
  return {
    link,
    name: linkName(system.document, link),
    color: groundColor(system, theme, link) ?? { r: 255, g: 255, b: 255, alpha: 1 },
  };
}

/** The one or two grounds that the marks are drawn against, as chosen in this tab. */
export function useRailGrounds() {
  const [chosen, setChosen] = useState<readonly Link[]>(() =>
    (ofTab.read(KEY) ?? '').split('\n').flatMap((line) => read(line) ?? []),
  );
  // The same objects for as long as they are the same grounds, so that nothing is drawn again for them.
  const grounds = useAppSelector((state): readonly RailGround[] => {
    const system = selectSystem(state);
    const theme = selectTheme(state);
    const known = chosen.flatMap((link): RailGround[] => {
      const color = groundColor(system, theme, link);
      return color ? [{ link, color, name: linkName(system.document, link) }] : [];
    });
    return known.length ? known.slice(0, 2) : [usualGround(system, theme)];
  }, same);
  const choose = useCallback((next: readonly Link[]) => {
    setChosen(next);
    ofTab.write(KEY, next.map(write).join('\n'));
  }, []);
  return { grounds, choose };
}
