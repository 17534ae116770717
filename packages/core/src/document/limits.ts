/** Limits that more than one kind of thing goes by. */

export const MOST_THEMES = 24;
export const MOST_ROLES = 1000;
/** Shades of one family, as growing allows. */
export const LEAST_SHADES = 3;
export const MOST_SHADES = 24;
/** Characters of a shade's label. */
export const MOST_LABEL = 24;
/** Pixels of a picture. */
export const MOST_PIXELS = 50_000_000;
/** Characters of the words that a text is shown with. */
export const MOST_WORDS = 120;
/** Characters of the reason for an exemption, or for declining. */
export const MOST_REASON = 300;
