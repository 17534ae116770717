import type { Target } from '../contrast/targets.ts';
import type { Growth } from '../family/grow.ts';
import type { RectangularSpace } from '../gradient/interpolate.ts';

/** The project document: everything that a project is, as plain JSON. Colours are canonical CSS text. */
export interface ProjectDocument {
  readonly version: 1;
  readonly name: string;
  /** The role that lies beneath everything, over which translucent grounds are composited. */
  readonly ground: string | null;
  readonly themes: readonly Theme[];
  readonly families: readonly Family[];
  readonly roles: readonly Role[];
  readonly pairs: readonly Pair[];
  readonly gradients: readonly Gradient[];
  readonly tray: readonly Swatch[];
}

export interface Theme {
  readonly id: string;
  readonly name: string;
}

export interface Family {
  readonly id: string;
  readonly name: string;
  readonly base: string;
  readonly growth: Growth;
  /** Colours of shades changed by hand, by label. */
  readonly handSet: Readonly<Record<string, string>>;
}

/** What a role or a stop points to. Opacity 0–1; left out means 1. */
export type Link =
  | { readonly to: 'shade'; readonly family: string; readonly shade: string; readonly opacity?: number }
  | { readonly to: 'role'; readonly role: string; readonly opacity?: number }
  | { readonly to: 'color'; readonly color: string; readonly opacity?: number };

export interface Role {
  readonly id: string;
  /** Named use as a path, such as `text/main`. */
  readonly path: string;
  /** The link in each theme, by theme id; a theme without one has no value yet. */
  readonly links: Readonly<Record<string, Link>>;
}

export interface Pair {
  readonly id: string;
  /** Role ids. */
  readonly foreground: string;
  readonly background: string;
  readonly target: Target;
  /** Text size in CSS px and weight 100–900 for which the pair is shown and measured. */
  readonly size: number;
  readonly weight: number;
}

export interface Stop {
  readonly id: string;
  /** Percent of the gradient line, 0–100. */
  readonly position: number;
  readonly link: Link;
}

export interface Gradient {
  readonly id: string;
  readonly name: string;
  readonly kind: 'linear';
  /** Degrees as in CSS: 0 points up, 90 to the right. 0–360. */
  readonly angle: number;
  readonly space: RectangularSpace;
  /** In order of position. */
  readonly stops: readonly Stop[];
}

/** A collected colour in the tray. */
export interface Swatch {
  readonly id: string;
  readonly name: string;
  readonly color: string;
}

/** The largest document that is accepted. Counts per project, shades per family, stops per gradient. */
export const LIMITS = {
  themes: 24,
  families: 128,
  shades: 24,
  roles: 1000,
  pairs: 4000,
  gradients: 400,
  stops: 64,
  tray: 1000,
  name: 80,
  batch: 2000,
} as const;

/** An empty project with two themes and nothing else. */
export function emptyDocument(name: string, themes: readonly Theme[]): ProjectDocument {
  return {
    version: 1,
    name,
    ground: null,
    themes: [...themes],
    families: [],
    roles: [],
    pairs: [],
    gradients: [],
    tray: [],
  };
}

/**
 * A path or name as part of a CSS custom property or an address: lower case, letters and digits, other runs as
 * one hyphen. Empty when nothing is left.
 */
export function slug(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '');
}
