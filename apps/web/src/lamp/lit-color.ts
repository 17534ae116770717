import type { Color } from '@mint-lamp/core/color/spaces';
import { canonical } from '@mint-lamp/core/color/write';
import type { Command } from '@mint-lamp/core/system/commands/command';
import type { Link, ProjectDocument } from '@mint-lamp/core/system/document';
import { type Painted, paint } from '@mint-lamp/core/system/painted';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import type { Selection } from '../store/interface-slice.ts';

/** The selected colour, what it is called and how it is changed. */
export interface LitColor {
  /** Changes when another thing is selected. */
  readonly key: string;
  readonly title: string;
  /** What kind of thing it is, in a word or two. */
  readonly kind: string;
  readonly painted: Painted | null;
  /** Why there is no colour, when there is none. */
  readonly problem: string | null;
  /** The command that gives it another colour; null when the colour comes from elsewhere. */
  readonly change: ((color: Color) => Command) | null;
  /** The link that a role or stop follows. */
  readonly link: Link | null;
  /** The command that gives a role or stop another link. */
  readonly relink: ((link: Link) => Command) | null;
}

const opaque = (c: Color): Color => ({ ...c, alpha: 1 });

function litLink(
  common: Pick<LitColor, 'key' | 'title' | 'kind'>,
  painted: Painted | null,
  problem: string | null,
  link: Link | null,
  relink: (link: Link) => Command,
): LitColor {
  const change = link?.to === 'color' ? (c: Color) => relink({ to: 'color', color: canonical(c) }) : null;
  return { ...common, painted, problem, link, relink, change };
}

/** What the lamp shows for a selection; null when the selected thing is gone. */
export function litColor(
  doc: ProjectDocument,
  system: System,
  theme: ResolvedTheme,
  selection: Selection | null,
): LitColor | null {
  switch (selection?.kind) {
    case 'base':
    case 'shade': {
      const resolved = system.families.get(selection.family);
      if (!resolved) return null;
      const { family, shades, byLabel } = resolved;
      const shade = selection.kind === 'base' ? shades.find((s) => s.isBase) : byLabel.get(selection.shade);
      if (!shade) return null;
      // The step that holds the base is changed through the base, so that the family follows.
      const isBase = selection.kind === 'base' || (shade.isBase && !shade.handSet);
      return {
        key: `${isBase ? 'base' : shade.label} ${family.id}`,
        title: `${family.name} ${shade.label}`,
        kind: isBase ? 'base of its family' : shade.handSet ? 'hand-set shade' : 'shade',
        painted: isBase ? paint(family.base) : shade,
        problem: null,
        change: (c) =>
          isBase
            ? { type: 'setBase', family: family.id, color: canonical(opaque(c)) }
            : { type: 'setShade', family: family.id, shade: shade.label, color: canonical(c) },
        link: null,
        relink: null,
      };
    }
    case 'role': {
      const resolved = theme.roles.get(selection.role);
      if (!resolved) return null;
      const { role, color, link, problem } = resolved;
      const common = {
        key: `role ${role.id} ${theme.theme.id}`,
        title: role.path,
        kind: `role in ${theme.theme.name}`,
      };
      return litLink(common, color, problem, link, (next) => ({
        type: 'setLink',
        role: role.id,
        theme: theme.theme.id,
        link: next,
      }));
    }
    case 'swatch': {
      const swatch = doc.tray.find((item) => item.id === selection.swatch);
      if (!swatch) return null;
      return {
        key: `swatch ${swatch.id}`,
        title: swatch.name,
        kind: 'in the tray',
        painted: paint(swatch.color),
        problem: null,
        change: (c) => ({ type: 'setSwatch', swatch: swatch.id, color: canonical(c) }),
        link: null,
        relink: null,
      };
    }
    case 'stop': {
      const resolved = theme.gradients.get(selection.gradient);
      const index = resolved?.gradient.stops.findIndex((stop) => stop.id === selection.stop) ?? -1;
      const stop = resolved?.gradient.stops[index];
      if (!resolved || !stop) return null;
      const common = {
        key: `stop ${stop.id} ${theme.theme.id}`,
        title: `${resolved.gradient.name}, stop ${index + 1}`,
        kind: 'stop of a gradient',
      };
      const color = resolved.colors[index] ?? null;
      return litLink(common, color, color ? null : 'Its link is broken.', stop.link, (link) => ({
        type: 'linkStop',
        gradient: resolved.gradient.id,
        stop: stop.id,
        link,
      }));
    }
    default:
      return null;
  }
}
