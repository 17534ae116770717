import type { RoleLink } from '../links/link.ts';
import type { RoleUse } from './use-names.ts';

/** What a role was in the style sheet that it was taken from. */
export interface RoleOrigin {
  /** The custom property; a colour with its use, such as `text #ffffff`, where rules wrote it out. */
  readonly property: string;
  /** As it was declared first. */
  readonly value: string;
  readonly file: string;
  /** From 1. */
  readonly line: number;
}

/** A named use in a group, such as *main* in *text*, with what it points to in each theme. */
export interface Role {
  readonly id: string;
  /** The names of the groups that it is in, outermost first; empty for a role on its own. */
  readonly group: readonly string[];
  readonly name: string;
  /** What it paints, where that was set; else its name and its pairs say it. */
  readonly use?: RoleUse;
  /** What it is for, in words to those who use it. */
  readonly about?: string;
  /** That it is not to be used any more, and what to use instead; empty where that was not said. */
  readonly retired?: string;
  readonly origin?: RoleOrigin;
  /** The link in each theme, by theme id; a theme without one has no value yet. */
  readonly links: Readonly<Record<string, RoleLink>>;
}

/** Characters of what is said about a role, and of what is to be used instead of one. */
export const MOST_ABOUT = 400;

/** Characters of each text of an origin; the rest is cut. */
export const MOST_ORIGIN = 300;

/** Groups in groups. A name of 80 characters holds no more. */
export const MOST_GROUPS = 40;
