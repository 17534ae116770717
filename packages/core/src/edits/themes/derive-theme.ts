import type { RoleLink } from '../../document/links/link.ts';
import { drain } from '../../in-parts/drain.ts';
import type { System } from '../../system/resolve.ts';
import type { Derivation } from './derivation.ts';
import { Mending } from './mending.ts';
import { movedLinks } from './moved-links.ts';

/** A theme that was derived, before it is taken. */
export interface DerivedTheme {
  /** Links by role id. */
  readonly links: Readonly<Record<string, RoleLink>>;
  readonly pairs: number;
  /** Ids of the pairs that no shade could make pass. */
  readonly failing: readonly string[];
}

/**
 * Derives a theme from another by moving every link along its family: to the other end where light and dark change
 * places, surfaces keeping their distance from the page; then each pair that fails to the nearest shade that passes,
 * within its family where there is one. Stops now and then with the share that is done, 0–1. The document is not
 * changed. Throws a RangeError where there is no such theme.
 */
export function* deriveTheme(system: System, from: string, way: Derivation): Generator<number, DerivedTheme> {
  if (!system.themes.has(from)) throw new RangeError('There is no such theme.');
  const mending = new Mending(system, movedLinks(system, from, way), way);
  yield 0;
  yield* mending.repair();
  return {
    links: Object.fromEntries(mending.links),
    pairs: system.document.pairs.length,
    failing: mending.failing(),
  };
}

/** {@link deriveTheme} to its end. */
export function derivedTheme(system: System, from: string, way: Derivation): DerivedTheme {
  return drain(deriveTheme(system, from, way));
}
