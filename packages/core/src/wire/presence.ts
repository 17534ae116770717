/** What goes over the wire about who is here; written once for both ends. */

/** What a page says of where whoever has it open is. */
export interface Whereabouts {
  /** Of the page, so that two windows of one person are told apart. */
  readonly tab: string;
  /** The part of the address behind the project's: `grow/deepwater`. */
  readonly at: string;
  /** What is lit there, as the page's own key for it; null for nothing. */
  readonly holds: string | null;
  /** What they did last, in words, and how much they did: an edit is told once. */
  readonly did: { readonly label: string; readonly edits: number } | null;
  /** Somebody who has just come asks who else is here. */
  readonly asks: boolean;
  /** The page is being left. */
  readonly leaves: boolean;
}

/** Somebody who is here, as others are told. */
export interface Here extends Whereabouts {
  readonly person: string;
  readonly name: string;
}

export const MOST_AT = 300;
export const MOST_HOLDS = 300;
export const MOST_DID = 300;
/** A page says that it is still here every so many s; one that says nothing for three times as long has gone. */
export const STILL_HERE_S = 20;
