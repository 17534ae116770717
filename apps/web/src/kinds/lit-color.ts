import type { Color } from '@mint-lamp/core/color/spaces';
import { canonical } from '@mint-lamp/core/color/write';
import type { Command } from '@mint-lamp/core/document/commands/command';
import type { Link } from '@mint-lamp/core/document/links/link';
import type { ResolvedGradient } from '@mint-lamp/core/system/gradients/resolved-gradient';
import type { Painted } from '@mint-lamp/core/system/painted';
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
  /** Whether it may let something through: a base may not. */
  readonly translucent: boolean;
  /** What it is painted with where that is a gradient. */
  readonly gradient?: ResolvedGradient | null;
  /** The command that has a gradient paint it; left out where none can. */
  readonly paintBy?: (gradient: string) => Command;
  /** The link that a role or stop follows. */
  readonly link: Link | null;
  /** The command that gives a role or stop another link. */
  readonly relink: ((link: Link) => Command) | null;
}

export type SelectionOf<K extends Selection['kind']> = Extract<Selection, { kind: K }>;

/** What the lamp shows of a kind of thing; null when the selected one is gone. */
export type Light<K extends Selection['kind']> = (
  system: System,
  theme: ResolvedTheme,
  selection: SelectionOf<K>,
) => LitColor | null;

/** A colour that comes of a link: it is changed itself where the link is a plain colour. */
export function litLink(
  common: Pick<LitColor, 'key' | 'title' | 'kind' | 'painted' | 'problem' | 'link'>,
  relink: (link: Link) => Command,
): LitColor {
  const change =
    common.link?.to === 'color' ? (c: Color) => relink({ to: 'color', color: canonical(c) }) : null;
  return { ...common, relink, change, translucent: true };
}
