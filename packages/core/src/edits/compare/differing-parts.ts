import type { Differences } from './differences.ts';
import type { Portion } from './parts.ts';

/** Everything that differs between two states, as parts that can be restored by themselves. */
export function differingParts(differences: Differences): Portion[] {
  const {
    name,
    ground,
    words,
    relatives,
    scenes,
    delivery,
    lists,
    orders,
    themes,
    families,
    roles,
    pairs,
    gradients,
  } = differences;
  return [
    ...(name ? [{ part: 'name' } as const] : []),
    ...(ground ? [{ part: 'ground' } as const] : []),
    ...(words ? [{ part: 'words' } as const] : []),
    ...(relatives ? [{ part: 'relatives' } as const] : []),
    ...(scenes ? [{ part: 'scenes' } as const] : []),
    ...(delivery ? [{ part: 'delivery' } as const] : []),
    ...lists.map(({ list }) => ({ part: 'list', list }) as const),
    ...orders.map((list) => ({ part: 'order', list }) as const),
    ...themes.map(({ id }) => ({ part: 'theme', id }) as const),
    ...families.map(({ id }) => ({ part: 'family', id }) as const),
    ...pairs.map(({ id }) => ({ part: 'pair', id }) as const),
    ...gradients.map(({ id }) => ({ part: 'gradient', id }) as const),
    ...roles.flatMap(({ id, itself, cells }): Portion[] => [
      ...(itself ? [{ part: 'role', id } as const] : []),
      ...cells.flatMap(({ theme, linked }) => (linked ? [{ part: 'cell', id, theme } as const] : [])),
    ]),
  ];
}
