/** What a stop points to, and a role where it is one colour. Opacity 0–1; left out means 1. */
export type Link =
  | { readonly to: 'shade'; readonly family: string; readonly shade: string; readonly opacity?: number }
  /** The base itself, wherever it stands among the shades. */
  | { readonly to: 'base'; readonly family: string; readonly opacity?: number }
  | { readonly to: 'role'; readonly role: string; readonly opacity?: number }
  | { readonly to: 'color'; readonly color: string; readonly opacity?: number };

/** What a role that is painted by a gradient points to; its opacity is that of the gradient's stops. */
interface GradientLink {
  readonly to: 'gradient';
  readonly gradient: string;
}

/** What a role points to. */
export type RoleLink = Link | GradientLink;

/** A role's link where it leads to one colour; null where it leads to a gradient, and where there is none. */
export const plainLink = (link: RoleLink | null | undefined): Link | null =>
  link && link.to !== 'gradient' ? link : null;
