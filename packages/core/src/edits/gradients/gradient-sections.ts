import type { Gradient } from '../../document/gradients/gradient.ts';
import type { GradientCommand } from '../../document/gradients/gradient-commands.ts';

/** Gradients that are listed together: favourites first, then those on their own, then each group. */
export interface GradientSection {
  readonly kind: 'favourites' | 'own' | 'group';
  /** The group's name; empty for the others. */
  readonly group: string;
  readonly gradients: readonly Gradient[];
}

/** The gradients as they are listed; groups in the order in which they first appear, no section empty. */
export function gradientSections(gradients: readonly Gradient[]): GradientSection[] {
  const favourites = gradients.filter(({ favourite }) => favourite);
  const others = gradients.filter(({ favourite }) => !favourite);
  const groups = [...new Set(others.flatMap(({ group }) => (group === undefined ? [] : [group])))];
  const sections: GradientSection[] = [
    { kind: 'favourites', group: '', gradients: favourites },
    { kind: 'own', group: '', gradients: others.filter(({ group }) => group === undefined) },
    ...groups.map((group) => ({
      kind: 'group' as const,
      group,
      gradients: others.filter((one) => one.group === group),
    })),
  ];
  return sections.filter((section) => section.gradients.length > 0);
}

/**
 * The commands that put a gradient where another stands, into the section that it stands in; none where that is itself or
 * one of them is not there.
 */
export function movedBeside(gradients: readonly Gradient[], id: string, other: string): GradientCommand[] {
  const to = gradients.findIndex((one) => one.id === other);
  const from = gradients.findIndex((gradient) => gradient.id === id);
  const [one, target] = [gradients[from], gradients[to]];
  if (!one || !target || one === target) return [];
  const group = target.group ?? null;
  const favourite = target.favourite ?? null;
  // Among the favourites a gradient keeps its group.
  const change = {
    ...(favourite === (one.favourite ?? null) ? {} : { favourite }),
    ...(favourite || group === (one.group ?? null) ? {} : { group }),
  };
  const isChanged = Object.keys(change).length > 0;
  return [
    ...(isChanged ? [{ type: 'setGradient' as const, gradient: id, change }] : []),
    // From above it comes to stand behind the other in its own section, and before it in another.
    { type: 'moveGradient', gradient: id, index: isChanged && from < to ? to - 1 : to },
  ];
}

/** The gradient before or after one in its section; null at its end. */
export function neighbourOf(gradients: readonly Gradient[], id: string, way: -1 | 1): Gradient | null {
  const section = gradientSections(gradients).find((one) =>
    one.gradients.some((gradient) => gradient.id === id),
  );
  const at = section?.gradients.findIndex((gradient) => gradient.id === id) ?? -1;
  return section?.gradients[at + way] ?? null;
}
