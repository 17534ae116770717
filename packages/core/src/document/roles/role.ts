import type { RoleLink } from '../links/link.ts';
import type { RoleUse } from './use-names.ts';

/** A named use in a group, such as *main* in *text*, with what it points to in each theme. */
export interface Role {
  readonly id: string;
  /** The names of the groups that it is in, outermost first; empty for a role on its own. */
  readonly group: readonly string[];
  readonly name: string;
  /** What it paints, where that was set; else its name and its pairs say it. */
  readonly use?: RoleUse;
  /** The link in each theme, by theme id; a theme without one has no value yet. */
  readonly links: Readonly<Record<string, RoleLink>>;
}

/** Groups in groups. A name of 80 characters holds no more. */
export const MOST_GROUPS = 40;
