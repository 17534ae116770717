/** What a role or a stop points to. Opacity 0–1; left out means 1. */
export type Link =
  | { readonly to: 'shade'; readonly family: string; readonly shade: string; readonly opacity?: number }
  /** The base itself, wherever it stands among the shades. */
  | { readonly to: 'base'; readonly family: string; readonly opacity?: number }
  | { readonly to: 'role'; readonly role: string; readonly opacity?: number }
  | { readonly to: 'color'; readonly color: string; readonly opacity?: number };
