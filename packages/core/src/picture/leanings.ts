/** What a palette can lean to. */
export const LEANINGS = ['area', 'vivid', 'gentle', 'low light', 'high light', 'most different'] as const;
export type Leaning = (typeof LEANINGS)[number];
