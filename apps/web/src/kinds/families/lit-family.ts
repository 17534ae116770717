import type { Color } from '@mint-lamp/core/color/spaces';
import { canonical } from '@mint-lamp/core/color/write';
import type { ResolvedFamily, ResolvedShade } from '@mint-lamp/core/system/families/resolved-family';
import { paint } from '@mint-lamp/core/system/resolve/painted';
import type { Light, LitColor } from '../lit-color.ts';

const opaque = (c: Color): Color => ({ ...c, alpha: 1 });

function litBase({ family }: ResolvedFamily, { label }: ResolvedShade): LitColor {
  return {
    key: `base ${family.id}`,
    title: `${family.name} ${label}`,
    kind: 'base of its family',
    painted: paint(family.base),
    problem: null,
    change: (c) => ({ type: 'setBase', family: family.id, color: canonical(opaque(c)) }),
    link: null,
    relink: null,
  };
}

export const lightBase: Light<'base'> = (system, _theme, { family }) => {
  const resolved = system.families.get(family);
  const base = resolved?.shades.find((shade) => shade.isBase);
  return resolved && base ? litBase(resolved, base) : null;
};

export const lightShade: Light<'shade'> = (system, _theme, selection) => {
  const resolved = system.families.get(selection.family);
  const shade = resolved?.byLabel.get(selection.shade);
  if (!resolved || !shade) return null;
  // The step that holds the base is changed through the base, so that the family follows.
  if (shade.isBase && !shade.handSet) return litBase(resolved, shade);
  const { id, name } = resolved.family;
  return {
    key: `${shade.label} ${id}`,
    title: `${name} ${shade.label}`,
    kind: shade.handSet ? 'hand-set shade' : 'shade',
    painted: shade,
    problem: null,
    change: (c) => ({ type: 'setShade', family: id, shade: shade.label, color: canonical(c) }),
    link: null,
    relink: null,
  };
};
