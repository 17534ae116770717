import type { Color } from '@mint-lamp/core/color/spaces';
import { canonical } from '@mint-lamp/core/color/write';
import { followingWords } from '@mint-lamp/core/document/links/following';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import type { System } from '@mint-lamp/core/system/resolve';
import type { Light, LitColor } from '../lit-color.ts';
import { baseCommand } from './base-command.ts';

const opaque = (c: Color): Color => ({ ...c, alpha: 1 });

function litBase({ families }: System, { family, base, problem }: ResolvedFamily, label: string): LitColor {
  const { follows } = family;
  const words =
    follows && followingWords(follows, (id) => families.get(id)?.family.name ?? 'a removed family');
  const change = (c: Color) => baseCommand(family, canonical(opaque(c)), families);
  return {
    key: `base ${family.id}`,
    title: `${family.name} ${label}`,
    kind: words ? `base, ${words}` : 'base of its family',
    painted: base.color,
    problem,
    // What lies between two has nothing of its own to change.
    change: follows?.by === 'between' ? null : (c) => change(c)!,
    translucent: false,
    link: null,
    relink: null,
  };
}

export const lightBase: Light<'base'> = (system, _theme, { family }) => {
  const resolved = system.families.get(family);
  const base = resolved?.shades.find((shade) => shade.isBase);
  return resolved && base ? litBase(system, resolved, base.label) : null;
};

export const lightShade: Light<'shade'> = (system, _theme, selection) => {
  const resolved = system.families.get(selection.family);
  const shade: ResolvedShade | undefined = resolved?.byLabel.get(selection.shade);
  if (!resolved || !shade) return null;
  // The step that holds the base is changed through the base, so that the family follows.
  if (shade.isBase && !shade.handSet) return litBase(system, resolved, shade.label);
  const { id, name } = resolved.family;
  return {
    key: `${shade.label} ${id}`,
    title: `${name} ${shade.label}`,
    kind: shade.handSet ? 'hand-set shade' : 'shade',
    painted: shade,
    problem: null,
    change: (c) => ({ type: 'setShade', family: id, shade: shade.label, color: canonical(c) }),
    translucent: true,
    link: null,
    relink: null,
  };
};
