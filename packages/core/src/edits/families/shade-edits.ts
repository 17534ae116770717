import { rgb8ToOklch, toRgb8 } from '../../color/gamut.ts';
import { readColor } from '../../color/parse.ts';
import { canonical } from '../../color/write.ts';
import type { Command, SimpleCommand } from '../../document/commands/command.ts';
import type { ProjectDocument } from '../../document/document.ts';
import type { Family } from '../../document/families/family.ts';
import { plainlyGrounded } from '../../document/links/growth-ground.ts';
import { drawnFrom, labelBetween, withoutStep, withStepBetween, withStepMoved } from '../../family/drawn.ts';
import { type ResolvedFamily, resolveFamily } from '../../system/families/resolved-family.ts';
import { type Instead, relinked, usesOfFamily } from '../links/relink.ts';
import { grownOf } from './family-edits.ts';

/** Edits of single shades that come to several commands. */

/** A shade halfway between one (by its place, lightest first) and the next darker; the others stay as they are. */
export function shadeInserted(resolved: ResolvedFamily, at: number): { command: Command; label: string } {
  const drawn = drawnFrom(grownOf(resolved));
  const label = labelBetween(drawn.labels, at);
  const growth = withStepBetween(drawn, at, label);
  return { command: { type: 'setGrowth', family: resolved.family.id, growth }, label };
}

/**
 * A shade taken out; the others stay as they are, and what used it uses something else. The base's own place cannot be
 * taken out.
 */
export function shadeTakenOut(
  doc: ProjectDocument,
  resolved: ResolvedFamily,
  label: string,
  instead: Instead,
): Command {
  const { family } = resolved;
  const drawn = drawnFrom(grownOf(resolved));
  const growth = withoutStep(drawn, drawn.labels.indexOf(label));
  const uses = usesOfFamily(doc, family.id, (link) => link.to === 'shade' && link.shade === label);
  const commands: SimpleCommand[] = [
    ...relinked(doc, uses, () => instead),
    ...(family.handSet[label] === undefined
      ? []
      : [{ type: 'setShade' as const, family: family.id, shade: label, color: null }]),
    { type: 'setGrowth', family: family.id, growth },
  ];
  return { type: 'batch', label: `remove ${label} from ${family.name}`, commands };
}

/**
 * Makes a colour that was set by hand the base, and lets its shade grow again. The base takes the place that its growth
 * gives it; where that is another, the growth is drawn as it is now with the base at this label, as far as its lightness
 * lies between those of its neighbours. `at` is the label at which it stands then.
 */
export function baseFromShade(
  resolved: ResolvedFamily,
  label: string,
): { readonly command: Command; readonly at: string } | null {
  const { family } = resolved;
  const own = family.handSet[label];
  if (own === undefined || (family.follows && family.follows.by !== 'tint')) return null;
  const color = canonical({ ...readColor(own), alpha: 1 });
  const { [label]: _, ...handSet } = family.handSet;
  const standsAt = (growth: Family['growth']) =>
    resolveFamily({ ...family, base: color, growth, handSet }, { ...resolved, base: color }).base.label;
  const drawn = drawnFrom(grownOf(resolved));
  const [lightness] = rgb8ToOklch(...toRgb8(readColor(color)));
  const held = withStepMoved(drawn, drawn.labels.indexOf(label), { lightness });
  const growth = standsAt(family.growth) !== label && standsAt(held) === label ? held : family.growth;
  const commands: SimpleCommand[] = [
    { type: 'setShade', family: family.id, shade: label, color: null },
    ...(growth === family.growth ? [] : [{ type: 'setGrowth' as const, family: family.id, growth }]),
    { type: 'setBase', family: family.id, color },
  ];
  return {
    command: { type: 'batch', label: `make the base of ${family.name} follow ${label}`, commands },
    at: standsAt(growth),
  };
}

/**
 * Makes a colour that was set by hand a family of its own, grown in the same way; what pointed to the shade points to
 * that base, so that it keeps its colour, and the shade grows again.
 */
export function familyFromShade(
  doc: ProjectDocument,
  { family, ground }: ResolvedFamily,
  label: string,
  made: Pick<Family, 'id' | 'name'>,
): Command | null {
  const own = family.handSet[label];
  if (own === undefined) return null;
  const { growth } = family;
  const grounded =
    growth.kind === 'opacity' || growth.kind === 'contrast'
      ? plainlyGrounded({ ...growth, ground: ground ?? '#ffffff' })
      : growth;
  const uses = usesOfFamily(doc, family.id, (link) => link.to === 'shade' && link.shade === label);
  const commands: SimpleCommand[] = [
    {
      type: 'addFamily',
      family: {
        ...made,
        base: canonical({ ...readColor(own), alpha: 1 }),
        follows: null,
        growth: grounded,
        handSet: {},
      },
      index: doc.families.findIndex(({ id }) => id === family.id) + 1,
    },
    ...relinked(doc, uses, () => ({ to: 'base', family: made.id })),
    { type: 'setShade', family: family.id, shade: label, color: null },
  ];
  return { type: 'batch', label: `make ${family.name} ${label} a family of its own`, commands };
}
