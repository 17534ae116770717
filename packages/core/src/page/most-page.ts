/** Characters of a page with its style sheets, cleaned. */
export const MOST_PAGE = 400_000;
