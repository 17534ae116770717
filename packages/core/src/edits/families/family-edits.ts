import { readColor } from '../../color/parse.ts';
import type { Command, SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Family } from '../../document/families/family.ts';
import { LEAST_SHADES } from '../../document/limits.ts';
import { followersOf } from '../../document/links/following.ts';
import { grownOn } from '../../document/links/growth-ground.ts';
import { freeName, numberedName, slugsOf } from '../../document/naming/names.ts';
import { drawnFrom } from '../../family/drawn.ts';
import { grow } from '../../family/grow.ts';
import type { GrownShade } from '../../family/growth.ts';
import type { ResolvedFamily } from '../../system/families/resolved-family.ts';
import type { System } from '../../system/resolve.ts';
import { type FamilyUses, type Instead, relinked, usesOfFamily } from '../links/relink.ts';

/** Edits of whole families that come to several commands. Each is one batch, so one undo. */

const placeOf = ({ families }: ProjectDocument, id: string) => families.findIndex((one) => one.id === id);

/** What growth gives, hand-set colours aside, lightest first. */
export const grownOf = ({ family, base, ground }: ResolvedFamily): GrownShade[] =>
  grow(readColor(base.text), grownOn(family.growth, ground ?? '#ffffff'));

/** The family once more, below it, under a name of its own. */
export function duplicated(doc: ProjectDocument, family: Family, id: string): SimpleCommand {
  const name = numberedName(family.name, slugsOf(doc.families), 2);
  return { type: 'addFamily', family: { ...family, id, name }, index: placeOf(doc, family.id) + 1 };
}

/** The places at which a family can be split: the first shade of the darker part. */
export function splitPlaces({ shades }: ResolvedFamily): number[] {
  return shades.map((_, i) => i).filter((i) => i >= LEAST_SHADES && shades.length - i >= LEAST_SHADES);
}

/**
 * Splits a family in two at a shade: that one and the darker ones become a family of their own, and what pointed to
 * them points to them there. No colour changes. The part that has not got the base grows from its middle shade.
 */
export function split(doc: ProjectDocument, resolved: ResolvedFamily, at: number, id: string): Command {
  const { family } = resolved;
  const grown = grownOf(resolved);
  const isDarkBase = grown.findIndex(({ isBase }) => isBase) >= at;
  const part = (shades: readonly GrownShade[], hasBase: boolean) => {
    const middle = Math.floor((shades.length - 1) / 2);
    return hasBase ? shades : shades.map((shade, i) => ({ ...shade, isBase: i === middle }));
  };
  const [light, dark] = [part(grown.slice(0, at), !isDarkBase), part(grown.slice(at), isDarkBase)];
  // The part with the base stays the family that it was, with its name, base and followers.
  const [staying, leaving] = isDarkBase ? [dark, light] : [light, dark];
  const gone = new Set(leaving.map(({ label }) => label));
  const name = freeName(
    `${family.name} ${isDarkBase ? 'light' : 'dark'}`.slice(0, 60),
    slugsOf(doc.families),
  );
  const handSet = Object.entries(family.handSet).filter(([label]) => gone.has(label));
  const other: Family = {
    id,
    name,
    base: leaving.find(({ isBase }) => isBase)!.hex,
    follows: null,
    growth: drawnFrom(leaving),
    handSet: Object.fromEntries(handSet),
  };
  const uses = usesOfFamily(doc, family.id, (link) => link.to === 'shade' && gone.has(link.shade));
  const commands: SimpleCommand[] = [
    { type: 'addFamily', family: other, index: placeOf(doc, family.id) + (isDarkBase ? 0 : 1) },
    ...relinked(doc, uses, (link) => ({
      to: 'shade',
      family: id,
      shade: link.to === 'shade' ? link.shade : '',
    })),
    ...handSet.map(([shade]): SimpleCommand => ({ type: 'setShade', family: family.id, shade, color: null })),
    { type: 'setGrowth', family: family.id, growth: drawnFrom(staying) },
  ];
  return { type: 'batch', label: `split ${family.name} in two`, commands };
}

/** What the uses of a family that is removed should use instead. */
export type Replacement =
  /** The same labels of another family, or where it has none of that label, its shade of the nearest lightness. */
  | { readonly by: 'family'; readonly family: string }
  /** Their colours as they are now. */
  | { readonly by: 'colors' }
  /** Nothing: their links stay and are broken. */
  | { readonly by: 'nothing' };

const lightnessOf = ({ r, g, b }: { r: number; g: number; b: number }) =>
  0.2126 * r + 0.7152 * g + 0.0722 * b;

function instead(from: ResolvedFamily, to: ResolvedFamily | null) {
  return (link: FamilyUses['roles'][number]['link']): Instead => {
    const shade = link.to === 'shade' ? from.byLabel.get(link.shade) : null;
    if (!to)
      return { to: 'color', color: link.to === 'base' ? from.base.text : (shade?.css ?? from.base.text) };
    if (link.to === 'base') return { to: 'base', family: to.family.id };
    if (to.byLabel.has(link.shade)) return { to: 'shade', family: to.family.id, shade: link.shade };
    const wanted = lightnessOf(shade ?? from.base.color);
    const nearest = [...to.shades].sort(
      (a, b) => Math.abs(lightnessOf(a) - wanted) - Math.abs(lightnessOf(b) - wanted),
    )[0]!;
    return { to: 'shade', family: to.family.id, shade: nearest.label };
  };
}

/** Cuts a family from what it follows, with the base that it has now. */
export function cut({ families }: Pick<System, 'families'>, id: string): SimpleCommand[] {
  const base = families.get(id)?.base.text;
  const own: SimpleCommand = { type: 'setFollows', family: id, follows: null };
  return base === undefined ? [own] : [own, { type: 'setBase', family: id, color: base }];
}

/** Removes a family; those that follow it keep the colours that they have, and what used it uses something else. */
export function removed(system: System, id: string, replacement: Replacement): Command {
  const { document, families } = system;
  const resolved = families.get(id)!;
  const other = replacement.by === 'family' ? (families.get(replacement.family) ?? null) : null;
  const commands: SimpleCommand[] = [
    ...followersOf(document.families, id).flatMap((follower) => cut(system, follower.id)),
    ...(replacement.by === 'nothing'
      ? []
      : relinked(document, usesOfFamily(document, id), instead(resolved, other))),
    { type: 'removeFamily', family: id },
  ];
  return commands.length === 1
    ? commands[0]!
    : { type: 'batch', label: `remove the family ${resolved.family.name}`, commands };
}
